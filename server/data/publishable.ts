import type { Knex } from 'knex'
import type { FacetCount } from '../../core/curation/facets'
import type { PlainOrder } from '../../core/curation/selectionOrders'
import { keysOf } from '../../core/formats/keysOf'
import { z } from 'zod'
import { publishableFacets } from './schema/facets'
import { tables } from './schema/tables'
import { maybe, pick, readAll, under, value, type Selected } from './select'
import type { Readable } from './table'

const rowColumns = {
  id: tables.publishableReview.reviewId,
  ...pick(tables.publishableReview, 'writtenAt', ...keysOf(publishableFacets)),
}
/** The narrow rows of publishable reviews: approved, with consent. They hold what selections depend on. */
export type PublishableRow = Selected<typeof rowColumns>

/** The columns of rows that are counted; `productId` is null in counts of all products together. */
type CountedColumns = Omit<PublishableRow, 'id' | 'writtenAt' | 'productId'> & { productId: number | null }

/** How many publishable reviews have equal facets, under the columns of their rows. */
export type CountRow = FacetCount & { row: CountedColumns }

type CountSelection = ReturnType<typeof countSelection>
const counted = ({ productSku, listing, form, count, ...facets }: Selected<CountSelection>): CountRow => ({
  ...facets,
  productSku,
  listing,
  form,
  count,
  rating: facets.rating || null,
  language: facets.language || null,
  row: facets,
})

/** A text that tells rows with other facets apart. */
export const facetKey = (of: CountedColumns): string =>
  keysOf(publishableFacets)
    .map((facet) => of[facet])
    .join(' ')

/** From the counters: all products together, or each of some. 0 stands for reviews without a product. */
export async function publishableCounts(
  db: Knex,
  shopId: number,
  productIds: readonly number[] | null,
): Promise<CountRow[]> {
  const table = productIds === null ? 'publishable_total' : 'publishable_count'
  const query = db(table).where({ [`${table}.shop_id`]: shopId })
  const selection = countSelection(db, table, productIds !== null, `${table}.count`)
  return (await readAll(named(query, table, productIds), selection)).map(counted)
}

/** The names of what counted rows refer to; `name` is how the query calls them. */
function named(
  query: Knex.QueryBuilder,
  name: string,
  productIds: readonly number[] | null,
): Knex.QueryBuilder {
  query.leftJoin('listing', 'listing.id', `${name}.listing_id`).leftJoin('form', 'form.id', `${name}.form_id`)
  if (productIds === null) return query
  return query
    .leftJoin('product', 'product.id', `${name}.product_id`)
    .whereIn(`${name}.product_id`, productIds)
}

const { productId, ...traits } = pick(tables.publishableReview, ...keysOf(publishableFacets))

function countSelection(db: Knex, name: string, isByProduct: boolean, count: Readable<unknown>['of']) {
  const nothing = { of: db.raw('NULL'), read: () => null }
  return {
    ...under(name, traits),
    productId: isByProduct ? maybe(under(name, { productId }).productId) : nothing,
    productSku: isByProduct ? maybe(tables.product.sku) : nothing,
    listing: maybe(tables.listing.publicId),
    form: maybe(tables.form.publicId),
    count: value(z.number(), count),
  }
}

/** When reviews were written: from one moment on, and before another, as ISO 8601 in UTC; an empty one is open. */
export interface Period {
  from: string
  before: string
}

function within(query: Knex.QueryBuilder, { from, before }: Period): Knex.QueryBuilder {
  if (from) query.where('publishable_review.written_at', '>=', from)
  if (before) query.where('publishable_review.written_at', '<', before)
  return query
}

/** Which reviews are counted one by one: those of a period, of all products or of some. */
interface Counting {
  period: Period
  /** As in `publishableCounts`. */
  productIds: readonly number[] | null
}

/** Counts of the reviews of a period. Reads all of them, from an index. */
export async function countsWithin(db: Knex, shopId: number, counting: Counting): Promise<CountRow[]> {
  const reviews = db('publishable_review').where({ shop_id: shopId }).select('publishable_review.*')
  return (await readAll(...countedTogether(db, reviews, counting))).map(counted)
}

/** Counts of the reviews with any of some tags. Reads all of them. */
export async function taggedCounts(
  db: Knex,
  shopId: number,
  tags: string[],
  counting: Counting,
): Promise<CountRow[]> {
  const reviews = tagged(db, shopId, tags).distinct('publishable_review.*')
  return (await readAll(...countedTogether(db, reviews, counting))).map(counted)
}

/** Counts of the reviews with each of the tags that most reviews have. Reads all tagged reviews. */
export async function countsByTag(
  db: Knex,
  shopId: number,
  tags: string[],
  counting: Counting,
): Promise<(CountRow & { tag: string })[]> {
  const reviews = tagged(db, shopId, tags).select('publishable_review.*', { tag: 'tag.name' })
  const [query, selection] = countedTogether(db, reviews, counting)
  const rows = await readAll(query.groupBy('chosen.tag'), {
    ...selection,
    tag: value(z.string(), 'chosen.tag'),
  })
  return rows.map(({ tag, ...found }) => ({ ...counted(found), tag }))
}

function countedTogether(
  db: Knex,
  reviews: Knex.QueryBuilder,
  { period, productIds }: Counting,
): [Knex.QueryBuilder, CountSelection] {
  const isByProduct = productIds !== null
  const query = named(db.from(within(reviews, period).as('chosen')), 'chosen', productIds)
  const facets = under('chosen', isByProduct ? { ...traits, productId } : traits)
  return [
    query.groupBy(Object.values(facets).map(({ of }) => of)),
    countSelection(db, 'chosen', isByProduct, db.raw('count(*)')),
  ]
}

const tagged = (db: Knex, shopId: number, tags: string[]): Knex.QueryBuilder =>
  db('tag')
    .join('review_tag', 'review_tag.tag_id', 'tag.id')
    .join('publishable_review', 'publishable_review.review_id', 'review_tag.review_id')
    .where({ 'tag.shop_id': shopId })
    .whereIn('tag.name', tags)

/** The rows with any of some tags; reads all of them. */
export async function rowsTagged(
  db: Knex,
  shopId: number,
  tags: string[],
  period: Period,
): Promise<PublishableRow[]> {
  return readAll(within(tagged(db, shopId, tags).distinct(), period), rowColumns)
}

/** In the order of an index: newest, highest or verified first, then newest first. */
export type Position = Pick<PublishableRow, 'rating' | 'verified' | 'writtenAt' | 'id'>

/** The lowest first has no index: those are looked up by their facets. */
type IndexedOrder = Exclude<PlainOrder, 'lowest'>

const leading: Record<IndexedOrder, 'rating' | 'verified' | null> = {
  newest: null,
  highest: 'rating',
  verified: 'verified',
}

/** The rows that follow a position in an order. With a period, only the newest first has an index. */
export async function rowsInOrder(
  db: Knex,
  shopId: number,
  order: IndexedOrder,
  after: Position | null,
  limit: number,
  period: Period,
): Promise<PublishableRow[]> {
  const first = leading[order]
  const columns = [...(first ? [first] : []), 'written_at', 'review_id']
  const query = db('publishable_review')
    .where({ shop_id: shopId })
    .orderBy(columns.map((column) => ({ column, order: 'desc' })))
    .limit(limit)
  if (after) {
    const values = [...(first ? [after[first]] : []), after.writtenAt, after.id]
    query.whereRaw(`(${columns.join(', ')}) < (${columns.map(() => '?').join(', ')})`, values)
  }
  return readAll(within(query, period), rowColumns)
}

/** The newest rows with each of some facets; all of these name a product, or none does. */
export async function newestOfEach(
  db: Knex,
  shopId: number,
  facets: CountRow['row'][],
  limit: number,
  { from, before }: Period,
): Promise<PublishableRow[]> {
  const isByProduct = typeof facets[0]?.productId === 'number'
  const columns = isByProduct ? { ...traits, productId } : traits
  const query = db.from(
    db.raw(
      `json_each(?) AS facet JOIN publishable_review ON publishable_review.review_id IN (
      SELECT review_id FROM publishable_review AS one
        INDEXED BY ${isByProduct ? 'publishable_by_facets' : 'publishable_by_traits'}
      WHERE one.shop_id = ? AND ${Object.entries(columns)
        .map(([name, { column }]) => `one.${column} = facet.value ->> '${name}'`)
        .join(' AND ')} AND one.written_at >= ? AND one.written_at < ?
      ORDER BY one.written_at DESC, one.review_id DESC LIMIT ?)`,
      [JSON.stringify(facets), shopId, from, before || 'Z', limit],
    ),
  )
  return readAll(query, rowColumns)
}

/** The ids of publishable reviews by their public ids. */
export async function publishableIds(
  db: Knex,
  shopId: number,
  publicIds: string[],
): Promise<Map<string, number>> {
  if (publicIds.length === 0) return new Map()
  const rows = await readAll(
    db('review')
      .join('publishable_review', 'publishable_review.review_id', 'review.id')
      .whereIn('public_id', publicIds)
      // The plus keeps SQLite from reading all reviews of the shop.
      .whereRaw('+publishable_review.shop_id = ?', shopId),
    pick(tables.review, 'publicId', 'id'),
  )
  return new Map(rows.map(({ publicId, id }) => [publicId, id]))
}
