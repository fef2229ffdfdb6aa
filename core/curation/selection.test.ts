import fc from 'fast-check'
import { expect, test } from 'vitest'
import { lowOnes, tallyOf } from './ratingTally'
import { pick, type Pickable, type Selection } from './selection'

const stock: Pickable[] = [
  { id: 1, rating: 500, writtenAt: '2026-01-01T00:00:00Z' },
  { id: 2, rating: 200, writtenAt: '2026-03-01T00:00:00Z' },
  { id: 3, rating: null, writtenAt: '2026-04-01T00:00:00Z' },
  { id: 4, rating: 400, writtenAt: '2026-02-01T00:00:00Z' },
  { id: 5, rating: 500, writtenAt: '2026-02-15T00:00:00Z' },
]
const picked = (selection: Partial<Selection>) =>
  pick(stock, { limit: 50, lowestRating: 1, order: 'newest', ...selection }).map(({ id }) => id)

test('any rating, newest first, takes the unrated too', () => {
  expect(picked({})).toEqual([3, 2, 5, 4, 1])
})
test('a lowest rating leaves lower and unrated ones out', () => {
  expect(picked({ lowestRating: 4 })).toEqual([5, 4, 1])
  expect(picked({ lowestRating: 5 })).toEqual([5, 1])
})
test('highest first, the newest of equals leading', () => {
  expect(picked({ order: 'highest' })).toEqual([5, 1, 4, 2, 3])
})
test('as many as the number says', () => {
  expect(picked({ limit: 2 })).toEqual([3, 2])
})

test('the average is that of all, whatever is picked', () => {
  const all = tallyOf(stock)
  expect(all).toEqual({ count: 4, average: 400, byMark: [0, 1, 0, 1, 2] })
  expect(lowOnes(all)).toBe(1)
  expect(tallyOf([])).toEqual({ count: 0, average: null, byMark: [0, 0, 0, 0, 0] })
  expect(
    tallyOf([
      { rating: 500, times: 3 },
      { rating: 100, times: 1 },
    ]).average,
  ).toBe(400)
})

test('picking never invents, doubles or reorders against its order', () => {
  const review = fc.record({
    id: fc.nat(),
    rating: fc.option(fc.integer({ min: 100, max: 500 })),
    writtenAt: fc
      .date({ min: new Date('2020-01-01'), max: new Date('2026-12-31'), noInvalidDate: true })
      .map((d) => d.toISOString()),
  })
  const reviews = fc.uniqueArray(review, { selector: ({ id }) => id, maxLength: 40 })
  fc.assert(
    fc.property(
      reviews,
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 1, max: 50 }),
      (all, lowestRating, limit) => {
        const chosen = pick(all, { lowestRating, limit, order: 'newest' })
        expect(new Set(chosen).size).toBe(chosen.length)
        expect(chosen.every((one) => all.includes(one))).toBe(true)
        for (let i = 1; i < chosen.length; i++)
          expect(chosen[i - 1]!.writtenAt >= chosen[i]!.writtenAt).toBe(true)
      },
    ),
  )
})
