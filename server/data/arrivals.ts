import type { Knex } from 'knex'
import type { Arriving } from '../../core/moderation/memory/arrival'

type Row = Omit<Arriving, 'receivedAt'> & { inner: number; receivedAt: string }

/** What customers sent to a shop, in the order it came: some of it, after an inner id. */
export async function arrivalsAfter(
  db: Knex,
  shopId: number,
  after: number,
  limit: number,
): Promise<{ arrivals: Arriving[]; last: number }> {
  const rows: Row[] = await db('review')
    .join('review_version', (join) =>
      join.on('review_version.review_id', 'review.id').andOn('review_version.number', db.raw('1')),
    )
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .where({ 'review.shop_id': shopId, 'review.source': 'form' })
    .where('review.id', '>', after)
    .orderBy('review.id')
    .limit(limit)
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
    })
  return { arrivals: rows, last: rows.at(-1)?.inner ?? after }
}

/** Takes the network addresses off reviews that came before a moment. */
export async function forgetAddresses(db: Knex, before: string): Promise<number> {
  return (
    db('review')
      .where('received_at', '<', before)
      // As the index says it.
      .whereRaw("ip <> ''")
      .update({ ip: '' })
  )
}
