import fc from 'fast-check'
import { expect, test } from 'vitest'
import { FAIR_WITHIN, fairnessOf, oneIn } from './fairness'
import type { RatingTally } from './ratingTally'

const tally = (...byMark: RatingTally['byMark']): RatingTally => {
  const count = byMark.reduce((sum, times) => sum + times, 0)
  const sum = byMark.reduce((total, times, i) => total + times * (i + 1) * 100, 0)
  return { count, average: count === 0 ? null : sum / count, byMark }
}
const all = tally(6, 11, 13, 29, 73)

test.each([
  ['the same spread', tally(6, 11, 13, 29, 73), 'fair'],
  ['a sample with a low one in it', tally(0, 1, 0, 2, 4), 'fair'],
  ['nothing but fives', tally(0, 0, 0, 0, 6), 'rosier'],
  ['nothing under four', tally(0, 0, 0, 2, 6), 'rosier'],
  ['mostly low ones', tally(2, 1, 1, 0, 1), 'harsher'],
  ['nothing picked', tally(0, 0, 0, 0, 0), 'empty'],
] as const)('%s is told as it is', (_, picked, verdict) => {
  expect(fairnessOf(picked, all).verdict).toBe(verdict)
})
test('the ends without the middle are another spread, though the average is the same', () => {
  expect(fairnessOf(tally(5, 0, 0, 0, 5), tally(0, 0, 20, 0, 0)).verdict).toBe('lopsided')
})
test('under ten in all nobody can judge', () => {
  expect(fairnessOf(tally(0, 0, 0, 0, 3), tally(1, 1, 1, 1, 5))).toEqual({
    verdict: 'tooFew',
    distance: null,
  })
  expect(fairnessOf(tally(0, 0, 0, 0, 3), tally(1, 1, 1, 1, 6)).verdict).toBe('rosier')
})
test('the distance is in marks: all of one mark lie as far apart as the marks', () => {
  expect(fairnessOf(tally(0, 0, 0, 0, 4), tally(0, 0, 12, 0, 0)).distance).toBe(2)
  expect(fairnessOf(tally(4, 0, 0, 0, 0), tally(0, 0, 0, 0, 12)).distance).toBe(4)
})
test('how rare low ones are is said as one in so many', () => {
  expect([oneIn(all), oneIn(tally(0, 0, 0, 1, 5)), oneIn(tally(0, 0, 1, 0, 0))]).toEqual([4, null, 1])
})

test('the distance of a pick is never less than how far its average lies, and none from itself', () => {
  const marks = fc.tuple(fc.nat(30), fc.nat(30), fc.nat(30), fc.nat(30), fc.integer({ min: 10, max: 40 }))
  fc.assert(
    fc.property(marks, marks, (a, b) => {
      const [picked, whole] = [tally(...a), tally(...b)]
      const { distance, verdict } = fairnessOf(picked, whole)
      expect(distance! + 1e-9).toBeGreaterThanOrEqual(Math.abs(picked.average! - whole.average!) / 100)
      expect(verdict === 'fair').toBe(distance! <= FAIR_WITHIN)
      expect(fairnessOf(whole, whole).distance).toBe(0)
    }),
  )
})
