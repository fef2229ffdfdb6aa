import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { showable } from '../../tests/support/display'
import { pickFacets } from './pickFacets'
import { tallyOf } from './ratingTally'
import { everything, pick, type Page, type Selection } from './selection'
import { selectionSchema } from './selectionSchema'

const stock = [
  showable(1, 500, { productSku: 'HK-2', verified: true, tags: ['gift'], language: 'de' }),
  showable(5, 200, { productSku: 'SM-L', language: 'en', hasPhoto: true }),
  showable(6, null, { source: 'manualEntry' }),
  showable(3, 400, { productSku: 'HK-2', verified: true, hasText: false, tags: ['course', 'gift'] }),
  showable(4, 500, { language: 'en' }),
]
const picked = (selection: Partial<Selection>, page?: Page) =>
  pick(stock, { ...everything, limit: 50, ...selection }, page).map(({ id }) => id)

describe('which are picked', () => {
  test.each<[string, Partial<Selection>, number[]]>([
    ['any rating takes the unrated too', {}, [6, 5, 4, 3, 1]],
    ['from a lowest rating on', { ratings: [4, 5] }, [4, 3, 1]],
    ['exactly these ratings', { ratings: [2, 4] }, [5, 3]],
    ['products by SKU, however it is written', { products: { kind: 'chosen', skus: ['hk-2 '] } }, [3, 1]],
    ['with any of some tags', { tags: ['course', 'none'] }, [3]],
    ['by way in', { sources: ['manualEntry'] }, [6]],
    ['by language', { languages: ['en'] }, [5, 4]],
    ['from verified buyers', { verifiedOnly: true }, [3, 1]],
    ['with words', { withWords: true }, [6, 5, 4, 1]],
    ['with a photo', { withPhotos: true }, [5]],
    ['several at once', { verifiedOnly: true, ratings: [5] }, [1]],
    ['without those left out', { leftOut: ['r6', 'r4'] }, [5, 3, 1]],
    ['as many as the number says', { limit: 2 }, [6, 5]],
  ])('%s', (_, selection, ids) => {
    expect(picked(selection)).toEqual(ids)
  })
  test('a page narrows to its product and its room', () => {
    expect(picked({ products: { kind: 'page' } }, { product: 'HK-2' })).toEqual([3, 1])
    expect(picked({ products: { kind: 'page' } })).toHaveLength(5)
    expect(picked({}, { product: 'HK-2', limit: 1 })).toEqual([3])
    expect(picked({}, { product: 'unheard-of' })).toEqual([])
  })
})

describe('in which order', () => {
  test.each<[string, Partial<Selection>, number[]]>([
    ['highest first, the newest of equals leading', { order: 'highest' }, [4, 1, 3, 5, 6]],
    ['verified first', { order: 'verified' }, [3, 1, 6, 5, 4]],
    ['by hand, others following', { order: 'hand', hand: ['r1', 'r5'] }, [1, 5, 6, 4, 3]],
    ['by hand keeps what would not fit', { order: 'hand', hand: ['r5'], ratings: [5] }, [5, 4, 1]],
    ['pinned at its place', { pins: [{ review: 'r1', at: 1 }] }, [6, 1, 5, 4, 3]],
    ['pinned though it would not fit', { ratings: [5], pins: [{ review: 'r5', at: 0 }] }, [5, 4, 1]],
    ['pinned within the number', { limit: 2, pins: [{ review: 'r1', at: 9 }] }, [6, 1]],
    [
      'two pins',
      {
        pins: [
          { review: 'r3', at: 2 },
          { review: 'r1', at: 0 },
        ],
      },
      [1, 6, 3, 5, 4],
    ],
    ['a pin on a review that is gone', { pins: [{ review: 'gone', at: 0 }] }, [6, 5, 4, 3, 1]],
    ['left out is stronger than pinned', { leftOut: ['r1'], pins: [{ review: 'r1', at: 0 }] }, [6, 5, 4, 3]],
  ])('%s', (_, selection, ids) => {
    expect(picked(selection)).toEqual(ids)
  })
  test('a pin never brings a review onto the page of another product', () => {
    expect(picked({ pins: [{ review: 'r5', at: 0 }] }, { product: 'HK-2' })).toEqual([3, 1])
  })
})

test('each choice says how many it would let through with all else as it is', () => {
  const counted = stock.filter(({ id }) => id !== 4).map((review) => ({ ...review, count: 1 }))
  const facets = pickFacets(
    {
      tagged: counted.filter(({ tags }) => tags.includes('gift')),
      byProduct: counted.filter(({ tags }) => tags.includes('gift')),
      byTag: counted.flatMap((one) => one.tags.map((tag) => ({ ...one, tag }))),
    },
    { ...everything, tags: ['gift'], ratings: [5] },
  )
  expect(facets).toEqual({
    ratings: { 4: 1, 5: 1 },
    products: { 'HK-2': 1 },
    tags: { gift: 1 },
    sources: { form: 1 },
    languages: { de: 1 },
    listings: {},
    forms: {},
    verified: 1,
    hasText: 1,
    hasPhoto: 0,
    all: 1,
  })
})

test('marks are kept in order and once each; none at all is refused', () => {
  expect(selectionSchema.parse({ ...everything, ratings: [5, 3, 5] }).ratings).toEqual([3, 5])
  expect(selectionSchema.safeParse({ ...everything, ratings: [] }).success).toBe(false)
})

test('the average is that of all, whatever is picked', () => {
  const all = tallyOf(stock)
  expect(all).toEqual({ count: 4, average: 400, byMark: [0, 1, 0, 1, 2] })
  expect(tallyOf([])).toEqual({ count: 0, average: null, byMark: [0, 0, 0, 0, 0] })
  expect(
    tallyOf([
      { rating: 500, times: 3 },
      { rating: 100, times: 1 },
    ]).average,
  ).toBe(400)
})

test('picking never invents, doubles or exceeds, and pins stand where they were put', () => {
  const review = fc
    .record({ id: fc.integer({ min: 1, max: 28 }), rating: fc.option(fc.integer({ min: 100, max: 500 })) })
    .map(({ id, rating }) => showable(id, rating))
  const reviews = fc.uniqueArray(review, { selector: ({ id }) => id, maxLength: 28 })
  const pins = fc.uniqueArray(
    fc.record({ review: fc.integer({ min: 1, max: 28 }), at: fc.nat({ max: 12 }) }),
    { selector: ({ review }) => review, maxLength: 4 },
  )
  fc.assert(
    fc.property(reviews, pins, fc.integer({ min: 1, max: 20 }), (all, pinned, limit) => {
      const asked = pinned.map(({ review, at }) => ({ review: `r${review}`, at }))
      const chosen = pick(all, { ...everything, limit, pins: asked })
      expect(new Set(chosen).size).toBe(chosen.length)
      expect(chosen.length).toBe(Math.min(limit, all.length))
      expect(chosen.every((one) => all.includes(one))).toBe(true)
      const [only] = asked
      if (asked.length === 1 && all.some(({ publicId }) => publicId === only!.review))
        expect(chosen.findIndex(({ publicId }) => publicId === only!.review)).toBe(
          Math.min(only!.at, chosen.length - 1),
        )
      const free = chosen.filter(({ publicId }) => !asked.some(({ review }) => review === publicId))
      for (let i = 1; i < free.length; i++) expect(free[i - 1]!.writtenAt >= free[i]!.writtenAt).toBe(true)
    }),
  )
})
