import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import { balancedOrder, type Balanced } from '../../core/curation/balance'
import { inAverages } from '../../core/curation/facets'
import type { CountsToPickFrom } from '../../core/curation/pickFacets'
import { scopeTotals, type About } from '../../core/curation/scopeTotals'
import {
  comparing,
  fitting,
  hasFacetsOf,
  inScope,
  pick,
  scopeOf,
  type Page,
  type Selection,
} from '../../core/curation/selection'
import { tallyOf } from '../../core/curation/ratingTally'
import { startOfDay } from '../../core/formats/dates'
import type { ShowableReview } from '../../core/display/showableReview'
import {
  countsByTag,
  countsWithin,
  facetKey,
  newestOfEach,
  publishableCounts,
  publishableIds,
  rowsInOrder,
  rowsTagged,
  taggedCounts,
  type CountRow,
  type Period,
  type Position,
  type PublishableRow,
} from '../data/publishable'
import { productsWithSkus, searchProducts } from '../data/products'
import { showableReviews } from '../data/showableReviews'
import type { Shop } from '../data/shops'
import { balanceable, MOST_POOLED, poolOf } from './balancedPool'

/** The publishable reviews of a shop. Only those that a display shows are read, and each once. */
export interface Publishable {
  /** The number of all. */
  size: number
  /**
   * The ratings and numbers of a scope.
   * @param about restricts the number to the listings or forms that a display is about
   */
  totals: (scope: string[] | null, about?: About) => Promise<ReturnType<typeof scopeTotals>>
  /** The reviews that a selection shows on a page, in order. */
  pick: (selection: Selection, page?: Page) => Promise<ShowableReview[]>
  /** The number of all matches. */
  fittingCount: (selection: Selection, page?: Page) => Promise<number>
  /** The first matches in order, without pins. */
  firstFitting: (selection: Selection, most: number, page?: Page) => Promise<ShowableReview[]>
  /** Some by their public ids, in no order. */
  named: (publicIds: string[]) => Promise<ShowableReview[]>
  /**
   * Counts for the choices of a selection's parts.
   * @param listed the SKUs and tags that are offered
   */
  countsToPickFrom: (
    selection: Selection,
    page: Page,
    listed: { skus: string[]; tags: string[] },
  ) => Promise<CountsToPickFrom>
  /** The reviews that a balanced order chooses from, in that order and with their reasons. */
  balanced: (selection: Selection, page?: Page) => Promise<Balanced[]>
}

/** Rows that are read in order before looking them up by their facets instead. */
const MOST_SCANNED = 5000
/** Up to so many rows, looking up by facets is as fast as reading in order. */
const FEW_LOOKED_UP = 2000
/** Reviews of a few kilobytes that displays rendered together share. */
const MOST_SHARED = 2000
/** A balanced order of a whole shop chooses among the reviews of so many products, and of none. */
const MOST_POOLED_PRODUCTS = 100

export async function readPublishable(
  db: Knex,
  { id: shopId, timeZone }: Pick<Shop, 'id' | 'timeZone'>,
): Promise<Publishable> {
  const totals = await publishableCounts(db, shopId, null)
  const shared = new LRUCache<number, ShowableReview>({ max: MOST_SHARED })
  const orders = new LRUCache<string, Promise<Balanced[]>>({ max: 10 })
  const taggedRows = new LRUCache<string, Promise<PublishableRow[]>>({ max: 10 })
  const counted = new LRUCache<string, Promise<CountRow[]>>({ max: 20 })

  async function read(ids: number[]): Promise<ShowableReview[]> {
    const known = ids.flatMap((id) => shared.get(id) ?? [])
    const missing = ids.filter((id) => !shared.has(id))
    const found = missing.length > 0 ? await showableReviews(db, shopId, missing) : []
    for (const review of found) shared.set(review.id, review)
    return [...known, ...found]
  }

  /** The ids of the products of a scope; null for the whole shop. */
  async function idsOf(scope: string[] | null): Promise<number[] | null> {
    if (scope === null) return null
    return [...(await productsWithSkus(db, shopId, scope)).values()].map(({ id }) => id)
  }

  /** Counts of the reviews of a selection's dates in a scope. */
  async function countsOf(scope: string[] | null, period: Period): Promise<CountRow[]> {
    if (scope === null && !isLimited(period)) return totals
    const key = JSON.stringify([scope, period])
    const count = async () => {
      const productIds = await idsOf(scope)
      return isLimited(period)
        ? countsWithin(db, shopId, { period, productIds })
        : publishableCounts(db, shopId, productIds)
    }
    const known = counted.get(key) ?? count()
    counted.set(key, known)
    return known
  }

  async function matchingCounts(selection: Selection, page: Page): Promise<CountRow[]> {
    const counts = await countsOf(scopeOf(selection, page), periodOf(selection, timeZone))
    return counts.filter((one) => hasFacetsOf(one, selection))
  }

  /** Contains at least what `pick` and `fitting` can choose as the first ones. */
  async function candidates(selection: Selection, most: number, page: Page): Promise<ShowableReview[]> {
    const byName = await publishableIds(db, shopId, [
      ...selection.leftOut,
      ...selection.pins.map(({ review }) => review),
      ...(selection.order === 'hand' ? selection.hand : []),
    ])
    const leftOut = new Set(selection.leftOut.flatMap((publicId) => byName.get(publicId) ?? []))
    const matching = await matchingCounts(selection, page)
    const order = selection.order === 'hand' || selection.order === 'balanced' ? 'newest' : selection.order
    // Those shown at places of their own don't count.
    const wanted = most + selection.pins.length + (selection.order === 'hand' ? selection.hand.length : 0)
    const rows =
      selection.tags.length > 0
        ? (await rowsWithTags(selection)).filter(rowsOf(matching)).toSorted(comparingRows(order))
        : await firstRows(matching, {
            order,
            wanted,
            leftOut,
            period: periodOf(selection, timeZone),
          })
    const first = rows.filter(({ id }) => !leftOut.has(id)).slice(0, wanted)
    const named = [...byName.values()].filter((id) => !leftOut.has(id))
    return read([...new Set([...named, ...first.map(({ id }) => id)])])
  }

  /** A selection with its balanced order as one by hand. */
  async function resolved(selection: Selection, page: Page): Promise<Selection> {
    if (selection.order !== 'balanced') return selection
    const order = await balanced(selection, page)
    return { ...selection, order: 'hand', hand: order.map(({ publicId }) => publicId) }
  }

  function balanced(selection: Selection, page: Page = {}): Promise<Balanced[]> {
    const { limit: _, pins: __, hand: ___, order: ____, ...filters } = selection
    const key = JSON.stringify([filters, page.product])
    const known = orders.get(key) ?? balancedNow(selection, page)
    orders.set(key, known)
    return known
  }

  /** From a pool that does not grow with the shop: the newest with each of its commonest facets. */
  async function balancedNow(selection: Selection, page: Page): Promise<Balanced[]> {
    const matching = await matchingCounts(selection, page)
    const leftOut = new Set((await publishableIds(db, shopId, selection.leftOut)).values())
    const { facets, ofEach } = poolOf(await pooledCounts(selection, page, matching))
    const rows =
      selection.tags.length > 0
        ? (await rowsWithTags(selection)).filter(rowsOf(matching)).toSorted(comparingRows('newest'))
        : (await newestOfEach(db, shopId, facets, ofEach, periodOf(selection, timeZone))).toSorted(
            comparingRows('newest'),
          )
    const pool = rows.filter(({ id }) => !leftOut.has(id)).slice(0, MOST_POOLED)
    const reviews = await read(pool.map(({ id }) => id))
    const tally = tallyOf(matching.filter(inAverages).map(({ rating, count }) => ({ rating, times: count })))
    return balancedOrder(balanceable(reviews), tally)
  }

  /** Of a whole shop, those of its most used products, so that the pool has several of these. */
  async function pooledCounts(selection: Selection, page: Page, matching: CountRow[]): Promise<CountRow[]> {
    if (scopeOf(selection, page) !== null || isLimited(periodOf(selection, timeZone))) return matching
    const products = await searchProducts(db, shopId, { limit: MOST_POOLED_PRODUCTS })
    const counts = await publishableCounts(db, shopId, [0, ...products.map(({ id }) => id)])
    return counts.filter((one) => hasFacetsOf(one, selection))
  }

  function rowsWithTags(selection: Selection): Promise<PublishableRow[]> {
    const { tags } = selection
    const period = periodOf(selection, timeZone)
    const key = JSON.stringify([tags, period])
    const known = taggedRows.get(key) ?? rowsTagged(db, shopId, tags, period)
    taggedRows.set(key, known)
    return known
  }

  /** Reads in the order of an index, and looks up by facets if the matches are rare there. */
  async function firstRows(
    matching: CountRow[],
    {
      order,
      wanted,
      leftOut,
      period,
    }: { order: Order; wanted: number; leftOut: Set<number>; period: Period },
  ): Promise<PublishableRow[]> {
    if (matching.length === 0) return []
    const ofEach = wanted + leftOut.size
    const isMatch = rowsOf(matching)
    const found: PublishableRow[] = []
    let leading: CountRow[] | undefined
    let after: Position | null = null
    for (let [scanned, limit] = [0, 2 * ofEach]; scanned < MOST_SCANNED; limit *= 2) {
      if (order === 'lowest' || (order !== 'newest' && isLimited(period))) break
      const rows: PublishableRow[] = await rowsInOrder(db, shopId, order, after, limit, period)
      found.push(...rows.filter(isMatch))
      if (found.length >= ofEach || rows.length < limit) return found
      after = rows.at(-1)!
      scanned += rows.length
      leading ??= leadingCounts(matching, order, ofEach)
      if (rowsToLookUp(leading, ofEach) <= FEW_LOOKED_UP) break
    }
    const facets = (leading ?? leadingCounts(matching, order, ofEach)).map(({ row }) => row)
    return (await newestOfEach(db, shopId, facets, ofEach, period)).toSorted(comparingRows(order))
  }

  return {
    size: totals.reduce((sum, { count }) => sum + count, 0),
    totals: async (scope, about) => scopeTotals(await countsOf(scope, everyTime), about),
    pick: async (asked, page = {}) => {
      const selection = await resolved(asked, page)
      return pick(await candidates(selection, page.limit ?? selection.limit, page), selection, page)
    },
    fittingCount: async (selection, page = {}) => {
      const matching = await matchingCounts(selection, page)
      const leftOut = new Set((await publishableIds(db, shopId, selection.leftOut)).values())
      if (selection.tags.length > 0) {
        const tagged = (await rowsWithTags(selection)).filter(rowsOf(matching))
        return tagged.filter(({ id }) => !leftOut.has(id)).length
      }
      const out = (await read([...leftOut])).filter(
        (review) => hasFacetsOf(review, selection) && isWithin(review, periodOf(selection, timeZone)),
      )
      const scope = scopeOf(selection, page)
      return (
        matching.reduce((sum, { count }) => sum + count, 0) -
        out.filter((review) => inScope(review, scope)).length
      )
    },
    firstFitting: async (asked, most, page = {}) => {
      const selection = await resolved(asked, page)
      return fitting(await candidates({ ...selection, pins: [] }, most, page), selection, page).slice(0, most)
    },
    balanced,
    named: async (publicIds) => read([...(await publishableIds(db, shopId, publicIds)).values()]),
    countsToPickFrom: async (selection, page, listed) => {
      const { tags, leftOut } = selection
      const period = periodOf(selection, timeZone)
      const scope = scopeOf(selection, page)
      const named = await read([...(await publishableIds(db, shopId, leftOut)).values()])
      const without = named
        .filter((review) => isWithin(review, period))
        .map((review) => ({ ...review, count: -1 }))
      const isTagged = (review: ShowableReview) =>
        tags.length === 0 || tags.some((tag) => review.tags.includes(tag))
      const countsIn = async (skus: string[] | null) => [
        ...(tags.length > 0
          ? await taggedCounts(db, shopId, tags, { period, productIds: await idsOf(skus) })
          : await countsOf(skus, period)),
        ...without.filter((review) => isTagged(review) && inScope(review, skus)),
      ]
      const offered = new Set(listed.tags)
      return {
        tagged: await countsIn(scope),
        byProduct: await countsIn(listed.skus),
        byTag: [
          ...(await countsByTag(db, shopId, listed.tags, { period, productIds: await idsOf(scope) })),
          ...without
            .filter((review) => inScope(review, scope))
            .flatMap((review) =>
              review.tags.filter((tag) => offered.has(tag)).map((tag) => ({ ...review, tag })),
            ),
        ],
      }
    },
  }
}

const everyTime: Period = { from: '', before: '' }

/** The period of a selection's days in a time zone. */
function periodOf({ writtenFrom, writtenUntil }: Selection, timeZone: string): Period {
  return {
    from: writtenFrom && startOfDay(timeZone, writtenFrom),
    before: writtenUntil && startOfDay(timeZone, writtenUntil, 1),
  }
}

const isLimited = ({ from, before }: Period) => from + before !== ''

const isWithin = ({ writtenAt }: Pick<ShowableReview, 'writtenAt'>, { from, before }: Period) =>
  writtenAt >= from && (!before || writtenAt < before)

type Order = keyof typeof comparing

const comparingRows = (order: Order) => {
  const compare = comparing[order]
  return (a: PublishableRow, b: PublishableRow) => compare(comparable(a), comparable(b))
}
const comparable = (row: PublishableRow) => ({ ...row, rating: row.rating || null })

const rowsToLookUp = (counts: CountRow[], ofEach: number) =>
  counts.reduce((sum, { count }) => sum + Math.min(count, ofEach), 0)

/** Whether a row has the facets of one of some counters; all of these name a product, or none does. */
function rowsOf(counts: CountRow[]): (row: PublishableRow) => boolean {
  const isByProduct = typeof counts[0]?.row.productId === 'number'
  const keyOf = (row: CountRow['row']) => facetKey(isByProduct ? row : { ...row, productId: null })
  const keys = new Set(counts.map(({ row }) => keyOf(row)))
  return (row) => keys.has(keyOf(row))
}

/** The counters that can contain the first so many rows in an order: the first ratings are enough. */
function leadingCounts(counts: CountRow[], order: Order, most: number): CountRow[] {
  if (order === 'newest') return counts
  const ranks = {
    highest: ({ row }: CountRow) => row.rating,
    lowest: ({ row }: CountRow) => (row.rating === 0 ? -Infinity : -row.rating),
    verified: ({ row }: CountRow) => Number(row.verified),
  }
  const rank = ranks[order]
  const leading: CountRow[] = []
  let rows = 0
  for (const one of counts.toSorted((a, b) => rank(b) - rank(a))) {
    if (rows >= most && rank(one) < rank(leading.at(-1)!)) break
    leading.push(one)
    rows += one.count
  }
  return leading
}
