import fc from 'fast-check'
import { expect, test } from 'vitest'
import { fairerSelection, type Swappable } from './fairerSelection'
import { fairnessOf } from './fairness'
import { tallyOf } from './ratingTally'
import { leastMs } from '../../tests/support/linearTime'

const reviewsOf = (marks: number[], prefix: string): Swappable[] =>
  marks.map((mark, i) => ({ publicId: `${prefix}${i}`, rating: mark * 100 }))

const verdictOf = (picked: Swappable[], all: Swappable[]) => fairnessOf(tallyOf(picked), tallyOf(all)).verdict

function subsetsOf<T>(items: T[], size: number): T[][] {
  if (size === 0) return [[]]
  return items.flatMap((item, i) => subsetsOf(items.slice(i + 1), size - 1).map((rest) => [item, ...rest]))
}

/** The fewest swaps that make a selection fair, by trying all. */
function fewestByHand(shown: Swappable[], others: Swappable[]): number | null {
  const all = [...shown, ...others]
  for (let swaps = 1; swaps <= Math.min(shown.length, others.length); swaps++)
    for (const out of subsetsOf(shown, swaps))
      for (const into of subsetsOf(others, swaps))
        if (verdictOf([...shown.filter((one) => !out.includes(one)), ...into], all) === 'fair') return swaps
  return null
}

const mark = fc.integer({ min: 1, max: 5 })

test('the change is the smallest there is, and makes the selection fair', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 4, max: 5 }), { minLength: 2, maxLength: 5 }),
      fc.array(mark, { minLength: 8, maxLength: 9 }),
      (rosy, rest) => {
        const [shown, others] = [reviewsOf(rosy, 's'), reviewsOf(rest, 'o')]
        const all = [...shown, ...others]
        if (['fair', 'tooFew'].includes(verdictOf(shown, all))) return
        const swaps = fairerSelection({ shown, fixed: [], others }, tallyOf(all))
        expect(swaps?.length ?? null).toBe(fewestByHand(shown, others))
        if (!swaps) return
        const out = swaps.map((swap) => swap.out)
        const into = others.filter(({ publicId }) => swaps.some((swap) => swap.in === publicId))
        expect(verdictOf([...shown.filter(({ publicId }) => !out.includes(publicId)), ...into], all)).toBe(
          'fair',
        )
      },
    ),
    { numRuns: 120 },
  )
})

test('what is pinned stays, the last of the others goes first, and the best of those not shown comes', () => {
  const all = reviewsOf([5, 5, 5, 5, 5, 5, 4, 4, 3, 2, 2, 1], 'a')
  const shown = [all[2]!, all[1]!]
  const swaps = fairerSelection({ shown, fixed: [all[0]!], others: all.slice(6) }, tallyOf(all))
  expect(swaps![0]!.out).toBe('a2')
  expect(swaps!.map((swap) => swap.out)).not.toContain('a0')
})

test('a fair selection needs no change', () => {
  const all = reviewsOf([5, 4, 5, 4, 5, 4, 5, 4, 5, 4], 'a')
  expect(
    fairerSelection({ shown: all.slice(0, 4), fixed: [], others: all.slice(4) }, tallyOf(all)),
  ).toBeNull()
})

test('fifty shown reviews take no longer than a page', () => {
  const all = reviewsOf(
    Array.from({ length: 1000 }, (_, i) => (i % 5) + 1),
    'a',
  )
  const shown = all.filter(({ rating }) => rating === 500).slice(0, 50)
  const others = all.filter((one) => !shown.includes(one))
  const search = () => fairerSelection({ shown, fixed: [], others }, tallyOf(all))
  expect(search()).not.toBeNull()
  expect(leastMs(search, 3)).toBeLessThan(1500)
})
