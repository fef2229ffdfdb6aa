import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import type { Arriving } from '../../core/moderation/memory/arrival'

/** Submissions of customers, by review id. */
export async function arrivalsOf(
  db: Knex,
  shopId: number,
  ids: number[],
): Promise<(Arriving & { inner: number })[]> {
  return (
    db('review')
      .join('review_version', (join) =>
        join.on('review_version.review_id', 'review.id').andOn('review_version.number', db.raw('1')),
      )
      .leftJoin('customer', 'customer.id', 'review.customer_id')
      .leftJoin('product', 'product.id', 'review.product_id')
      .whereIn('review.id', ids)
      // The plus keeps SQLite from reading all reviews of the shop.
      .whereRaw('+review.shop_id = ?', shopId)
      .orderBy('review.id')
      .select({
        inner: 'review.id',
        id: 'review.public_id',
        title: 'review_version.title',
        body: 'review_version.body',
        rating: 'review_version.rating',
        authorName: 'review_version.author_name',
        authorEmail: db.raw("ifnull(customer.address, '')"),
        ip: 'review.ip',
        receivedAt: 'review.received_at',
        product: db.raw("ifnull(product.sku, '')"),
        fillSeconds: 'review.fill_seconds',
        // What was known on arrival is not stored.
        verified: db.raw('NULL'),
      })
  )
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

/** Null if there is none. */
export async function hasManyArrivals(db: Knex, shopId: number, count: number): Promise<boolean> {
  const row: { id: number } | undefined = await db('review')
    .where({ shop_id: shopId })
    .whereIn('source', comparedSources)
    .orderBy('id', 'desc')
    .offset(count)
    .first('id')
  return row !== undefined
}

export async function latestArrival(db: Knex, shopId: number): Promise<string | null> {
  const row: { at: string } | undefined = await db('review')
    .where({ shop_id: shopId })
    .orderBy('id', 'desc')
    .first({ at: 'received_at' })
  return row?.at ?? null
}
