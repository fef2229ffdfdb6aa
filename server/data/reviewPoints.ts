import type { Knex } from 'knex'
import type { ReviewPoint } from '../../core/moderation/reviewPoint'

/** Where a review stands now in everything that people decide on. */
export async function readPoint(db: Knex, shopId: number, reviewId: number): Promise<ReviewPoint> {
  const row = await db('review').where({ shop_id: shopId, id: reviewId }).first<Omit<ReviewPoint, 'tagIds'>>({
    state: 'state',
    publishedVersionId: 'published_version_id',
    publishedAt: 'published_at',
    declineReasonId: 'decline_reason_id',
    productId: 'product_id',
    replyId: 'reply_id',
  })
  const tagIds: number[] = await db('review_tag')
    .where({ review_id: reviewId })
    .orderBy('tag_id')
    .pluck('tag_id')
  return { ...row, tagIds }
}

/** Puts a review to a point and takes it on to its next revision. */
export async function putPoint(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  from: ReviewPoint,
  to: ReviewPoint,
): Promise<void> {
  await trx('review')
    .where({ shop_id: shopId, id: reviewId })
    .update({
      state: to.state,
      published_version_id: to.publishedVersionId,
      published_at: to.publishedAt,
      decline_reason_id: to.declineReasonId,
      product_id: to.productId,
      reply_id: to.replyId,
      revision: trx.raw('revision + 1'),
      ...(from.state !== to.state && to.state !== 'held' && { unconfirmed: false }),
    })
  const gone = from.tagIds.filter((id) => !to.tagIds.includes(id))
  const come = to.tagIds.filter((id) => !from.tagIds.includes(id))
  if (gone.length > 0) await trx('review_tag').where({ review_id: reviewId }).whereIn('tag_id', gone).delete()
  if (come.length > 0)
    await trx('review_tag').insert(come.map((tag_id) => ({ shop_id: shopId, tag_id, review_id: reviewId })))
}
