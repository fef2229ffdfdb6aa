import { beforeAll, describe, expect, test } from 'vitest'
import { pickFacets } from '../../core/curation/pickFacets'
import {
  everything,
  fitting,
  inScope,
  pick,
  scopeOf,
  type Page,
  type Selection,
} from '../../core/curation/selection'
import { fairnessOf } from '../../core/curation/fairness'
import { tallyOf } from '../../core/curation/ratingTally'
import { selectionOrders } from '../../core/curation/selectionOrders'
import { swapIn } from '../../core/curation/byHand'
import { fairerSwaps } from './fairerSwaps'
import { dayIn } from '../../core/formats/dates'
import type { ShowableReview } from '../../core/display/showableReview'
import { filledShop, type FilledShop } from '../../bench/filledShop'
import { seededRandom } from '../../tests/fuzz/random'
import { publishableCounts } from '../data/publishable'
import { showableReviews } from '../data/showableReviews'
import { readPublishable, type Publishable } from './publishable'

/* The selections of displays from the database, beside the plain definition over all reviews. */

const SIZE = 7000
let filled: FilledShop
let all: ShowableReview[]
/** The day each review was written on, in the shop's time zone. */
let dayOf: Map<ShowableReview, string>
let publishable: Publishable

beforeAll(async () => {
  filled = await filledShop(SIZE)
  const { services, shop } = filled
  const { db } = services
  await photographed()
  const ids: number[] = await db('review').pluck('id')
  all = []
  for (let from = 0; from < ids.length; from += 500)
    all.push(...(await showableReviews(db, shop.id, ids.slice(from, from + 500))))
  dayOf = new Map(all.map((review) => [review, dayIn(shop.timeZone, review.writtenAt)]))
  publishable = await readPublishable(db, shop)
  return filled.close
})

/** Some reviews have a photo; of those, some have one that is hidden from visitors. */
async function photographed(): Promise<void> {
  const { services, shop } = filled
  const reviews = await services
    .db('review')
    .whereRaw('id % 11 = 1 AND published_version_id IS NOT NULL')
    .select({ id: 'id', version: 'published_version_id' })
  for (const { id, version } of reviews as { id: number; version: number }[]) {
    await services.db('photo').insert({
      ...{ id, shop_id: shop.id, review_id: id, public_id: `p${id}`, name: 'a', small: 'b', alt: '' },
      ...{ width: 1, height: 1, created_at: '2026-01-01' },
    })
    await services
      .db('version_photo')
      .insert({ shop_id: shop.id, version_id: version, position: 0, photo_id: id })
    await services.db('review').where({ id }).update({ photos: 1 })
    if (id % 3 === 0) await services.db('photo').where({ id }).update({ declined: 1 })
  }
}

const names = (reviews: ShowableReview[]) => reviews.map(({ publicId }) => publicId)

/** A balanced order chooses from a pool, so it is tested apart. */
const plainOrders = selectionOrders.filter((order) => order !== 'balanced')

/** Selections with any number of criteria, drawn from the reviews themselves. */
function drawn(chance: (below: number) => number): { selection: Selection; page: Page } {
  const one = () => all[chance(all.length)]!
  const some = <T>(times: number, draw: () => T) => Array.from({ length: chance(times + 1) }, draw)
  const skus = [...new Set(some(3, () => one().productSku ?? 'SKU-1'))]
  return {
    selection: {
      ...everything,
      limit: 1 + chance(20),
      ratings: chance(2) ? everything.ratings : [1 + chance(5)],
      products: chance(2) && skus.length > 0 ? { kind: 'chosen', skus } : { kind: 'every' },
      tags: chance(4) ? [] : [['prize', 'course', 'none'][chance(3)]!],
      sources: chance(4) ? [] : ['manualEntry'],
      forms: chance(3) ? [] : [['clubs', 'course', 'none'][chance(3)]!],
      languages: chance(3) ? [] : [['pl', 'de', 'en'][chance(3)]!],
      verifiedOnly: chance(4) === 0,
      withWords: chance(4) === 0,
      withPhotos: chance(6) === 0,
      writtenFrom: chance(3) ? '' : one().writtenAt.slice(0, 10),
      writtenUntil: chance(3) ? '' : one().writtenAt.slice(0, 10),
      order: plainOrders[chance(plainOrders.length)]!,
      pins: some(2, () => ({ review: one().publicId, at: chance(6) })),
      leftOut: some(30, () => names(all.slice(-40))[chance(40)]!),
      hand: some(5, () => one().publicId),
    },
    page: chance(4) ? {} : { product: one().productSku ?? 'SKU-2', limit: 1 + chance(50) },
  }
}

/** The reviews of a selection's dates. */
const written = (reviews: ShowableReview[], { writtenFrom, writtenUntil }: Selection) =>
  reviews.filter((review) => {
    const day = dayOf.get(review)!
    return day >= writtenFrom && (!writtenUntil || day <= writtenUntil)
  })

/** What a selection chooses from: the reviews of its dates, and those that are named. */
function choosable(selection: Selection, pinned: boolean): ShowableReview[] {
  const named = new Set([
    ...(selection.order === 'hand' ? selection.hand : []),
    ...(pinned ? selection.pins.map(({ review }) => review) : []),
  ])
  const fitting = new Set(written(all, selection))
  return all.filter((review) => fitting.has(review) || named.has(review.publicId))
}

describe('a balanced order', () => {
  const balanced: Selection = { ...everything, order: 'balanced', limit: 20 }
  test('shows what fits the filters, with about the mix of all ratings, each with a reason', async () => {
    const selection = { ...balanced, languages: ['de', 'pl'] }
    const picked = await publishable.pick(selection)
    expect(picked).toHaveLength(20)
    for (const { language } of picked) expect(['de', 'pl']).toContain(language)
    const fitting = all.filter(({ language }) => selection.languages.includes(language ?? ''))
    expect(fairnessOf(tallyOf(picked), tallyOf(fitting)).verdict).toBe('fair')
    const order = await publishable.balanced(selection)
    expect(names(picked)).toEqual(order.slice(0, 20).map(({ publicId }) => publicId))
    expect(new Set(order.slice(0, 20).map(({ reason }) => reason.kind)).size).toBeGreaterThan(1)
  })
  test('is the same each time, keeps to what is left out and pinned, and to the number of a pool', async () => {
    const again = await readPublishable(filled.services.db, filled.shop)
    const first = names(await again.pick(balanced))
    expect(first).toEqual(names(await publishable.pick(balanced)))
    const changed = { ...balanced, leftOut: [first[0]!], pins: [{ review: first[7]!, at: 0 }] }
    const after = names(await again.pick(changed))
    expect(after[0]).toBe(first[7])
    expect(after).not.toContain(first[0])
    expect((await again.balanced(balanced)).length).toBeLessThanOrEqual(300)
  })
})

test('a rosy selection is told the fewest swaps that make it fair', async () => {
  const rosy: Selection = { ...everything, ratings: [5], limit: 10 }
  const picked = await publishable.pick(rosy)
  const { tally } = await publishable.totals(null)
  const swaps = await fairerSwaps(publishable, rosy, {}, picked, tally)
  expect(swaps.length).toBeGreaterThan(0)
  const shown = names(picked)
  const fairer = await publishable.pick(
    swapIn(
      rosy,
      shown,
      swaps.map((swap) => ({ out: swap.out.publicId, in: swap.in.publicId })),
    ),
  )
  expect(fairer).toHaveLength(10)
  expect(fairnessOf(tallyOf(fairer), tally).verdict).toBe('fair')
  expect(await fairerSwaps(publishable, { ...everything, order: 'balanced' }, {}, fairer, tally)).toEqual([])
})

describe('selecting from the database', () => {
  test('chooses what the definition chooses from all reviews, whatever is asked', async () => {
    const chance = seededRandom(15).int
    let shown = 0
    for (let i = 0; i < 150; i++) {
      const { selection, page } = drawn(chance)
      const expected = names(pick(choosable(selection, true), selection, page))
      expect(names(await publishable.pick(selection, page)), JSON.stringify({ selection, page })).toEqual(
        expected,
      )
      expect(names(await publishable.firstFitting(selection, 30, page))).toEqual(
        names(fitting(choosable(selection, false), selection, page)).slice(0, 30),
      )
      shown += expected.length
    }
    expect(shown).toBeGreaterThan(500)
  })

  test('a few matches among many newer reviews are found through their facets', async () => {
    const rare = { ...everything, languages: ['pl'], limit: 50 }
    const expected = names(pick(all, rare))
    expect(expected.length).toBeGreaterThan(0)
    expect(names(await publishable.pick(rare))).toEqual(expected)
  })

  test('the counts of each choice are those of all reviews', async () => {
    const chance = seededRandom(16).int
    for (let i = 0; i < 20; i++) {
      const { selection, page } = drawn(chance)
      const counted = written(all, selection)
        .filter(({ publicId }) => !selection.leftOut.includes(publicId))
        .map((review) => ({ ...review, count: 1 }))
      const scope = scopeOf(selection, page)
      const tagged = counted.filter(
        ({ tags }) => selection.tags.length === 0 || selection.tags.some((tag) => tags.includes(tag)),
      )
      const within = <R extends { productSku: string | null }>(some: R[]) =>
        some.filter((one) => inScope(one, scope))
      const expected = pickFacets(
        {
          tagged: within(tagged),
          byProduct: tagged.filter(({ productSku }) => productSku !== null),
          byTag: within(counted).flatMap((one) => one.tags.map((tag) => ({ ...one, tag }))),
        },
        selection,
      )
      const listed = {
        skus: [...new Set(all.flatMap(({ productSku }) => productSku ?? []))],
        tags: [...new Set(all.flatMap(({ tags }) => tags))],
      }
      const found = pickFacets(await publishable.countsToPickFrom(selection, page, listed), selection)
      expect(withoutZeros(found)).toEqual(withoutZeros(expected))
    }
  })
})

test('the counters follow each change of a review', async () => {
  const { services, shop } = filled
  const { db } = services
  const recounted = async () =>
    db.raw<{ sum: number; different: number }[]>(
      `SELECT sum(count) AS sum, sum(abs(count)) AS different FROM (
        SELECT product_id, rating, source, language, verified, has_text, has_photo, sum(count) AS count FROM (
          SELECT product_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id, count FROM publishable_count
          UNION ALL SELECT product_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id, -1 FROM publishable_review)
        GROUP BY 1, 2, 3, 4, 5, 6)`,
    )
  const before = await publishableCounts(db, shop.id, null)
  for (const change of [
    { verified: 1 },
    { product_id: null },
    { showable: 0 },
    { showable: 1, published_version_id: null },
    { confirmed_at: '2026-11-01' },
  ])
    await db('review').where('id', '<', 60).update(change)
  const withPhoto = () => db('publishable_review').where({ has_photo: 1 }).pluck('review_id')
  const shown: number[] = await withPhoto()
  await db('photo').where({ review_id: shown[0] }).update({ declined: 1 })
  expect(await withPhoto()).toEqual(shown.slice(1))
  expect(await recounted()).toEqual([{ sum: 0, different: 0 }])
  const totals = 'shop_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id'
  expect(
    await db.raw(`SELECT ${totals}, sum(count) AS count FROM publishable_count GROUP BY ${totals}
      EXCEPT SELECT ${totals}, count FROM publishable_total`),
  ).toEqual([])
  const total = (counts: { count: number }[]) => counts.reduce((sum, { count }) => sum + count, 0)
  expect(total(await publishableCounts(db, shop.id, null))).toBeLessThan(total(before))
})

const withoutZeros = (counts: object): object =>
  Object.fromEntries(
    Object.entries(counts).map(([key, value]: [string, unknown]) => [
      key,
      typeof value === 'object' && value !== null
        ? Object.fromEntries(Object.entries(value).filter(([, count]) => count !== 0))
        : value,
    ]),
  )
