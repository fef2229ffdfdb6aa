import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import type { Arriving } from '../../core/moderation/memory/arrival'
import { tables } from './schema/tables'
import { hasRows, orEmpty, pick, readAll, readFirst } from './select'

/** Submissions of customers, by review id. */
export async function arrivalsOf(
  db: Knex,
  shopId: number,
  ids: number[],
): Promise<(Arriving & { inner: number })[]> {
  const query = db('review')
    .join('review_version', (join) =>
      join.on('review_version.review_id', 'review.id').andOn('review_version.number', db.raw('1')),
    )
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .whereIn('review.id', ids)
    // The plus keeps SQLite from reading all reviews of the shop.
    .whereRaw('+review.shop_id = ?', shopId)
    .orderBy('review.id')
  const rows = await readAll(query, {
    inner: tables.review.id,
    id: tables.review.publicId,
    ...pick(tables.reviewVersion, 'title', 'body', 'rating', 'authorName'),
    authorEmail: orEmpty(db, tables.customer.address),
    ...pick(tables.review, 'ip', 'receivedAt', 'fillSeconds'),
    product: orEmpty(db, tables.product.sku),
  })
  // What was known on arrival is not stored.
  return rows.map((row) => ({ ...row, verified: null }))
}

export async function forgetAddresses(db: Knex, before: string): Promise<number> {
  return (
    db('review')
      .where('received_at', '<', before)
      // Matches the expression of the index.
      .whereRaw("ip <> ''")
      .update({ ip: '' })
  )
}

export async function hasManyArrivals(db: Knex, shopId: number, count: number): Promise<boolean> {
  return hasRows(
    db('review')
      .where({ shop_id: shopId })
      .whereIn('source', comparedSources)
      .orderBy('id', 'desc')
      .offset(count),
  )
}

export async function latestArrival(db: Knex, shopId: number): Promise<string | null> {
  const latest = await readFirst(
    db('review').where({ shop_id: shopId }).orderBy('id', 'desc'),
    pick(tables.review, 'receivedAt'),
  )
  return latest?.receivedAt ?? null
}
