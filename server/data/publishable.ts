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

/** The columns of rows that are counted. Without a product they are those of all products together. */
type CountedColumns = Omit<PublishableRow, 'id' | 'writtenAt' | 'productId'> & { productId?: number }

/** How many publishable reviews have equal facets, under the columns of their rows. */
export type CountRow = FacetCount & { row: CountedColumns }

type StoredCount = CountedColumns & {
  productSku?: string | null
  listing: string | null
  form: string | null
  count: number
}

const traitColumns = {
  rating: 'rating',
  source: 'source',
  language: 'language',
  verified: 'verified',
  hasText: 'has_text',
  hasPhoto: 'has_photo',
  listingId: 'listing_id',
  formId: 'form_id',
}
const facetColumns = { productId: 'product_id', ...traitColumns }
/** The listing has a column of the same name. */
const columnsIn = (table: string, columns: Record<string, string>) =>
  Object.fromEntries(Object.entries(columns).map(([name, column]) => [name, `${table}.${column}`]))
const rowColumns = { id: 'review_id', ...facetColumns, writtenAt: 'written_at' }

const counted = ({ productSku = null, listing, form, count, ...row }: StoredCount): CountRow => ({
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

/** From the counters: all products together, or each of some. 0 stands for reviews without a product. */
export async function publishableCounts(
  db: Knex,
  shopId: number,
  productIds: readonly number[] | null,
): Promise<CountRow[]> {
  const table = productIds === null ? 'publishable_total' : 'publishable_count'
  const query = named(db(table), table, productIds)
    .where({ [`${table}.shop_id`]: shopId })
    .where(`${table}.count`, '>', 0)
    .select({ count: `${table}.count` })
  const rows: StoredCount[] = await query
  return rows.map(counted)
}

/** Selects the facets of counted rows, with the names of what they refer to. */
function named(
  query: Knex.QueryBuilder,
  table: string,
  productIds: readonly number[] | null,
): Knex.QueryBuilder {
  query
    .leftJoin('listing', 'listing.id', `${table}.listing_id`)
    .leftJoin('form', 'form.id', `${table}.form_id`)
    .select({
      ...columnsIn(table, traitColumns),
      listing: 'listing.public_id',
      form: 'form.public_id',
    })
  if (productIds === null) return query
  return query
    .leftJoin('product', 'product.id', `${table}.product_id`)
    .whereIn(`${table}.product_id`, productIds)
    .select({ productId: `${table}.product_id`, productSku: 'product.sku' })
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
  const rows: StoredCount[] = await countedTogether(db, reviews, counting)
  return rows.map(counted)
}

/** Counts of the reviews with any of some tags. Reads all of them. */
export async function taggedCounts(
  db: Knex,
  shopId: number,
  tags: string[],
  counting: Counting,
): Promise<CountRow[]> {
  const reviews = tagged(db, shopId, tags).distinct('publishable_review.*')
  const rows: StoredCount[] = await countedTogether(db, reviews, counting)
  return rows.map(counted)
}

/** Counts of the reviews with each of the tags that most reviews have. Reads all tagged reviews. */
export async function countsByTag(
  db: Knex,
  shopId: number,
  tags: string[],
  counting: Counting,
): Promise<(CountRow & { tag: string })[]> {
  const reviews = tagged(db, shopId, tags).select('publishable_review.*', { tag: 'tag.name' })
  const rows: (StoredCount & { tag: string })[] = await countedTogether(db, reviews, counting, 'chosen.tag')
  return rows.map(({ tag, ...row }) => ({ ...counted(row), tag }))
}

function countedTogether(
  db: Knex,
  reviews: Knex.QueryBuilder,
  { period, productIds }: Counting,
  ...more: string[]
): Knex.QueryBuilder {
  const columns = productIds === null ? traitColumns : facetColumns
  const query = db.from(within(reviews, period).as('chosen'))
  return named(query, 'chosen', productIds)
    .groupBy(...Object.values(columnsIn('chosen', columns)), ...more)
    .select(...more)
    .count({ count: '*' })
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
    .select(rowColumns)
  if (after) {
    const values = [...(first ? [after[first]] : []), after.writtenAt, after.id]
    query.whereRaw(`(${columns.join(', ')}) < (${columns.map(() => '?').join(', ')})`, values)
  }
  return within(query, period)
}

/** The newest rows with each of some facets; all of these name a product, or none does. */
export async function newestOfEach(
  db: Knex,
  shopId: number,
  facets: CountRow['row'][],
  limit: number,
  { from, before }: Period,
): Promise<PublishableRow[]> {
  const isByProduct = facets[0]?.productId !== undefined
  const columns = isByProduct ? facetColumns : traitColumns
  return db.raw<PublishableRow[]>(
    `SELECT ${Object.entries(rowColumns)
      .map(([name, column]) => `publishable_review.${column} AS ${name}`)
      .join(', ')}
    FROM json_each(?) AS facet JOIN publishable_review ON publishable_review.review_id IN (
      SELECT review_id FROM publishable_review AS one
        INDEXED BY ${isByProduct ? 'publishable_by_facets' : 'publishable_by_traits'}
      WHERE one.shop_id = ? AND ${Object.entries(columns)
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
    .whereIn('public_id', publicIds)
    // The plus keeps SQLite from reading all reviews of the shop.
    .whereRaw('+publishable_review.shop_id = ?', shopId)
    .select({ publicId: 'public_id', id: 'review.id' })
  return new Map(rows.map(({ publicId, id }) => [publicId, id]))
}
