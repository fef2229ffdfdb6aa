import type { Knex } from 'knex'
import type { DecisionState } from '../../core/moderation/decisionState'
import { evidenceOfReview, setEvidence } from './evidenceFiles'
import { declinedPhotos, setDeclined } from './photos'
import { setCurrentVersion } from './reviewVersions'
import { tagReview } from './tags'

/** Everything about a review that people decide on. */
export async function readDecisionState(db: Knex, shopId: number, reviewId: number): Promise<DecisionState> {
  const row: Omit<DecisionState, 'tagIds' | 'declinedPhotoIds' | 'evidenceIds' | 'showable'> & {
    showable: 0 | 1
  } = await db('review')
    .where({ shop_id: shopId, id: reviewId })
    .first({
      state: 'state',
      versionId: 'current_version_id',
      showable: 'showable',
      publishedVersionId: 'published_version_id',
      publishedAt: 'published_at',
      declineReasonId: 'decline_reason_id',
      productId: 'product_id',
      replyId: 'reply_id',
      verificationId: db('verification')
        .whereRaw('verification.review_id = review.id')
        .whereNull('revoked_at')
        .max('id'),
    })
  const tagIds: number[] = await db('review_tag')
    .where({ review_id: reviewId })
    .orderBy('tag_id')
    .pluck('tag_id')
  return {
    ...row,
    showable: row.showable === 1,
    tagIds,
    declinedPhotoIds: await declinedPhotos(db, reviewId),
    evidenceIds: (await evidenceOfReview(db, shopId, reviewId)).map(({ id }) => id),
  }
}

/** Also increments the revision. */
export async function applyDecisionState(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  from: DecisionState,
  to: DecisionState,
  now: string,
): Promise<void> {
  if (from.versionId !== to.versionId) await setCurrentVersion(trx, shopId, reviewId, to.versionId)
  await trx('review')
    .where({ shop_id: shopId, id: reviewId })
    .update({
      state: to.state,
      showable: to.showable,
      published_version_id: to.publishedVersionId,
      published_at: to.publishedAt,
      decline_reason_id: to.declineReasonId,
      product_id: to.productId,
      reply_id: to.replyId,
      verified: to.verificationId !== null,
      revision: trx.raw('revision + 1'),
      ...(from.state !== to.state && to.state !== 'held' && { unconfirmed: false }),
    })
  if (from.verificationId !== to.verificationId)
    await putEvidence(trx, from.verificationId, to.verificationId, now)
  const [gone, come] = [without(from.tagIds, to.tagIds), without(to.tagIds, from.tagIds)]
  if (gone.length > 0) await trx('review_tag').where({ review_id: reviewId }).whereIn('tag_id', gone).delete()
  await tagReview(trx, shopId, reviewId, come)
  await setDeclined(trx, reviewId, without(from.declinedPhotoIds, to.declinedPhotoIds), false)
  await setDeclined(trx, reviewId, without(to.declinedPhotoIds, from.declinedPhotoIds), true)
  await setEvidence(trx, reviewId, without(from.evidenceIds, to.evidenceIds), false)
  await setEvidence(trx, reviewId, without(to.evidenceIds, from.evidenceIds), true)
}

const without = (ids: number[], others: number[]) => ids.filter((id) => !others.includes(id))

/** Evidence is revoked or restored, never deleted. */
async function putEvidence(
  trx: Knex.Transaction,
  from: number | null,
  to: number | null,
  now: string,
): Promise<void> {
  if (from !== null)
    await trx('verification').where({ id: from }).whereNull('revoked_at').update({ revoked_at: now })
  if (to !== null) await trx('verification').where({ id: to }).update({ revoked_at: null })
}
