import fc from 'fast-check'
import { expect, test } from 'vitest'
import { balancedOrder, type Balanceable } from './balance'
import { fairnessOf } from './fairness'
import { tallyOf } from './ratingTally'
import { themesOf } from './themes'
import { leastMs } from '../../tests/support/linearTime'

const review = (id: number, rating: number | null, more: Partial<Balanceable> = {}): Balanceable => ({
  id,
  publicId: `r${id}`,
  rating: rating === null ? null : rating * 100,
  writtenAt: `2026-01-${String((id % 28) + 1).padStart(2, '0')}`,
  productSku: null,
  language: 'en',
  verified: false,
  length: 30,
  hasPhoto: false,
  themes: [],
  ...more,
})

const ratings = fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 12, maxLength: 120 })

test('every review is there once, and whatever the ratings, the first twelve have a fair mix', () => {
  fc.assert(
    fc.property(ratings, (marks) => {
      const reviews = marks.map((mark, i) => review(i, mark))
      const order = balancedOrder(reviews, tallyOf(reviews))
      expect(new Set(order.map(({ publicId }) => publicId)).size).toBe(reviews.length)
      const first = order.slice(0, 12).map(({ mark }) => ({ rating: mark! * 100 }))
      expect(['fair', 'tooFew']).toContain(fairnessOf(tallyOf(first), tallyOf(reviews)).verdict)
    }),
    { numRuns: 200 },
  )
})

test('the order does not depend on the order of what is given', () => {
  fc.assert(
    fc.property(ratings, fc.infiniteStream(fc.nat()), (marks, random) => {
      const reviews = marks.map((mark, i) =>
        review(i, mark, { length: (i * 7) % 80, productSku: `P${i % 4}`, verified: i % 3 === 0 }),
      )
      const shuffled = reviews.toSorted(() => (random.next().value! % 3) - 1)
      expect(balancedOrder(shuffled, tallyOf(reviews))).toEqual(balancedOrder(reviews, tallyOf(reviews)))
    }),
    { numRuns: 50 },
  )
})

test('products, themes and lengths come by turns, each with its reason', () => {
  const reviews = [
    review(1, 5, { productSku: 'HK', verified: true, length: 40 }),
    review(2, 5, { productSku: 'HK', length: 38 }),
    review(3, 5, { productSku: 'HK', length: 39, themes: ['delivery'] }),
    review(4, 5, { productSku: 'SM', length: 8 }),
    review(5, 5, { productSku: 'HK', length: 41, language: 'de' }),
  ]
  const order = balancedOrder(reviews, tallyOf(reviews))
  expect(order[0]).toMatchObject({ publicId: 'r1', reason: { kind: 'verified' } })
  const reasonOf = (id: string) => order.find(({ publicId }) => publicId === id)!.reason
  expect(reasonOf('r4')).toEqual({ kind: 'product' })
  expect(reasonOf('r3')).toEqual({ kind: 'theme', theme: 'delivery' })
  expect(reasonOf('r5')).toEqual({ kind: 'language', language: 'de' })
  expect(order.at(-1)!.publicId).toBe('r2')
})

test('reviews without a rating have their share', () => {
  const reviews = Array.from({ length: 20 }, (_, i) => review(i, i % 4 === 0 ? null : 5))
  const first = balancedOrder(reviews, tallyOf(reviews)).slice(0, 8)
  expect(first.filter(({ mark }) => mark === null)).toHaveLength(2)
})

test('themes are what several talk about, not what all do, nor common words', () => {
  const texts = [
    'The delivery was late, the hive is fine',
    'Late deliveries, hive good',
    'Delivery came with a broken box; hive ok',
    'The smoker stays lit, my hive thanks you',
    'Smokers and hive arrived',
    'A smoker for life, hive too',
    'The hive stands',
    'hive',
  ]
  const { names, of } = themesOf(texts, (word) => ['came', 'with', 'thanks', 'life', 'stays'].includes(word))
  expect(names).toEqual(['smoker'])
  expect(of[3]).toEqual([0])
  expect(of[6]).toEqual([])
})

test('the words of fifty texts of two thousand words are read at once', () => {
  const texts = Array.from({ length: 50 }, (_, i) =>
    Array.from(
      { length: 2000 },
      (_, j) => `word${String.fromCharCode(97 + ((i * j) % 26))}abc${'x'.repeat(j % 5)}`,
    ).join(' '),
  )
  expect(leastMs(() => themesOf(texts, () => false), 3)).toBeLessThan(2000)
})
