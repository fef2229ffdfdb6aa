import type { Knex } from 'knex'
import type { FacetCount } from '../../core/curation/facets'
import type { PlainOrder } from '../../core/curation/selectionOrders'
import type { Source } from '../../core/intake/sourcePolicy'

/** The narrow rows of publishable reviews: approved, with consent. They hold what selections depend on. */
export interface PublishableRow {
  id: number
  productId: number
  /** 0 without a rating. */
  rating: number
  source: Source
  /** Empty if unknown. */
  language: string
  verified: 0 | 1
  hasText: 0 | 1
  hasPhoto: 0 | 1
  /** 0 for none. */
  listingId: number
  /** 0 for none. */
  formId: number
  writtenAt: string
}

/** How many publishable reviews have equal facets, under the columns of their rows. */
export type CountRow = FacetCount & { row: Omit<PublishableRow, 'id' | 'writtenAt'> }

type StoredCount = Omit<PublishableRow, 'id' | 'writtenAt'> & {
  productSku: string | null
  listing: string | null
  form: string | null
  count: number
}

const facetColumns = {
  productId: 'product_id',
  rating: 'rating',
  source: 'source',
  language: 'language',
  verified: 'verified',
  hasText: 'has_text',
  hasPhoto: 'has_photo',
  listingId: 'listing_id',
  formId: 'form_id',
}
/** The listing has a column of the same name. */
const facetsIn = (table: string): typeof facetColumns =>
  Object.fromEntries(
    Object.entries(facetColumns).map(([name, column]) => [name, `${table}.${column}`]),
  ) as typeof facetColumns
const rowColumns = { id: 'review_id', ...facetColumns, writtenAt: 'written_at' }

const counted = ({ productSku, listing, form, count, ...row }: StoredCount): CountRow => ({
  productSku,
  listing,
  form,
  count,
  rating: row.rating || null,
  source: row.source,
  language: row.language || null,
  verified: row.verified === 1,
  hasText: row.hasText === 1,
  hasPhoto: row.hasPhoto === 1,
  row,
})

/** From the counters. */
export async function publishableCounts(db: Knex, shopId: number): Promise<CountRow[]> {
  const rows: StoredCount[] = await db('publishable_count')
    .leftJoin('product', 'product.id', 'publishable_count.product_id')
    .leftJoin('listing', 'listing.id', 'publishable_count.listing_id')
    .leftJoin('form', 'form.id', 'publishable_count.form_id')
    .where({ 'publishable_count.shop_id': shopId })
    .where('publishable_count.count', '>', 0)
    .select({
      ...facetsIn('publishable_count'),
      productSku: 'product.sku',
      listing: 'listing.public_id',
      form: 'form.public_id',
      count: 'publishable_count.count',
    })
  return rows.map(counted)
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

/** Counts of the reviews of a period. Reads all of them, from an index. */
export async function countsWithin(db: Knex, shopId: number, period: Period): Promise<CountRow[]> {
  const reviews = db('publishable_review').where({ shop_id: shopId }).select('publishable_review.*')
  const rows: StoredCount[] = await countedTogether(db, within(reviews, period))
  return rows.map(counted)
}

/** Counts of the reviews with any of some tags. Reads all of them. */
export async function taggedCounts(
  db: Knex,
  shopId: number,
  tags: string[],
  period: Period,
): Promise<CountRow[]> {
  const rows: StoredCount[] = await countedTogether(
    db,
    within(tagged(db, shopId, tags).distinct('publishable_review.*'), period),
  )
  return rows.map(counted)
}

/** Counts of the reviews with each tag. Reads all tagged reviews. */
export async function countsByTag(
  db: Knex,
  shopId: number,
  period: Period,
): Promise<(CountRow & { tag: string })[]> {
  const rows: (StoredCount & { tag: string })[] = await countedTogether(
    db,
    within(tagged(db, shopId).select('publishable_review.*', { tag: 'tag.name' }), period),
    'chosen.tag',
  )
  return rows.map(({ tag, ...row }) => ({ ...counted(row), tag }))
}

function countedTogether(db: Knex, reviews: Knex.QueryBuilder, ...more: string[]): Knex.QueryBuilder {
  return db
    .from(reviews.as('chosen'))
    .leftJoin('product', 'product.id', 'chosen.product_id')
    .leftJoin('listing', 'listing.id', 'chosen.listing_id')
    .leftJoin('form', 'form.id', 'chosen.form_id')
    .groupBy(...Object.values(facetsIn('chosen')), ...more)
    .select(
      {
        ...facetsIn('chosen'),
        productSku: 'product.sku',
        listing: 'listing.public_id',
        form: 'form.public_id',
      },
      ...more,
    )
    .count({ count: '*' })
}

function tagged(db: Knex, shopId: number, tags?: string[]): Knex.QueryBuilder {
  const query = db('tag')
    .join('review_tag', 'review_tag.tag_id', 'tag.id')
    .join('publishable_review', 'publishable_review.review_id', 'review_tag.review_id')
    .where({ 'tag.shop_id': shopId })
  return tags ? query.whereIn('tag.name', tags) : query
}

/** The rows with any of some tags; reads all of them. */
export async function rowsTagged(
  db: Knex,
  shopId: number,
  tags: string[],
  period: Period,
): Promise<PublishableRow[]> {
  const rows = tagged(db, shopId, tags).distinct({ ...rowColumns, id: 'publishable_review.review_id' })
  return within(rows, period)
}

/** In the order of an index: newest, highest or verified first, then newest first. */
export interface Position {
  rating: number
  verified: 0 | 1
  writtenAt: string
  id: number
}

/** The lowest first has no index: those are looked up by their facets. */
export type IndexedOrder = Exclude<PlainOrder, 'lowest'>

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
    .select(rowColumns)
  if (after) {
    const values = [...(first ? [after[first]] : []), after.writtenAt, after.id]
    query.whereRaw(`(${columns.join(', ')}) < (${columns.map(() => '?').join(', ')})`, values)
  }
  return within(query, period)
}

/** The newest rows with each of some facets. */
export async function newestOfEach(
  db: Knex,
  shopId: number,
  facets: CountRow['row'][],
  limit: number,
  { from, before }: Period,
): Promise<PublishableRow[]> {
  return db.raw<PublishableRow[]>(
    `SELECT ${Object.entries(rowColumns)
      .map(([name, column]) => `publishable_review.${column} AS ${name}`)
      .join(', ')}
    FROM json_each(?) AS facet JOIN publishable_review ON publishable_review.review_id IN (
      SELECT review_id FROM publishable_review AS one
      WHERE one.shop_id = ? AND ${Object.entries(facetColumns)
        .map(([name, column]) => `one.${column} = facet.value ->> '${name}'`)
        .join(' AND ')} AND one.written_at >= ? AND one.written_at < ?
      ORDER BY one.written_at DESC, one.review_id DESC LIMIT ?)`,
    [JSON.stringify(facets), shopId, from, before || 'Z', limit],
  )
}

/** The ids of publishable reviews by their public ids. */
export async function publishableIds(
  db: Knex,
  shopId: number,
  publicIds: string[],
): Promise<Map<string, number>> {
  if (publicIds.length === 0) return new Map()
  const rows: { publicId: string; id: number }[] = await db('review')
    .join('publishable_review', 'publishable_review.review_id', 'review.id')
    .where({ 'publishable_review.shop_id': shopId })
    .whereIn('public_id', publicIds)
    .select({ publicId: 'public_id', id: 'review.id' })
  return new Map(rows.map(({ publicId, id }) => [publicId, id]))
}
