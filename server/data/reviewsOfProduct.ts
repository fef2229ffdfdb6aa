import type { Knex } from 'knex'

/** The ids of some reviews of a product. */
export async function reviewsOfProduct(
  db: Knex,
  shopId: number,
  productId: number,
  limit: number,
): Promise<number[]> {
  return db('review').where({ shop_id: shopId, product_id: productId }).orderBy('id').limit(limit).pluck('id')
}

/** The ids of some reviews that a merge moved and that are still with the product it was merged into. */
export async function reviewsMovedBy(
  db: Knex,
  shopId: number,
  { publicId, intoId }: { publicId: string; intoId: number | null },
  limit: number,
): Promise<number[]> {
  return db('decision')
    .join('review', 'review.id', 'decision.review_id')
    .where({ 'decision.shop_id': shopId, 'decision.batch': publicId, 'decision.act': 'merge' })
    .where({ 'review.product_id': intoId })
    .orderBy('review.id')
    .limit(limit)
    .distinct()
    .pluck('review.id')
}
