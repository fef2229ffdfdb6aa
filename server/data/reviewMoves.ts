import type { Knex } from 'knex'
import type { ReviewState } from '../../core/moderation/rules'
import type { ReviewPoint } from './decisions'

/** Claims a review for a change: only one who saw its present revision gets it. Answers whether that was so. */
export async function claimReview(
  trx: Knex.Transaction,
  shopId: number,
  publicId: string,
  revision: number,
  notIn: ReviewState,
): Promise<boolean> {
  const claimed = await trx('review')
    .where({ shop_id: shopId, public_id: publicId, revision })
    .whereNot({ state: notIn })
    .increment('revision', 1)
  return claimed > 0
}

/** Takes a review on to its next revision, whoever saw it last. */
export async function advanceReview(trx: Knex.Transaction, shopId: number, reviewId: number): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).increment('revision', 1)
}

/** Puts a review to a point: its state and what of it is published. */
export async function putReview(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  to: ReviewPoint,
): Promise<void> {
  await trx('review').where({ shop_id: shopId, id: reviewId }).update({
    state: to.state,
    published_version_id: to.publishedVersionId,
    published_at: to.publishedAt,
  })
}
