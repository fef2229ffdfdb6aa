import { z } from 'zod'
import type { Knex } from 'knex'
import type { DecisionState } from '../../core/moderation/decisionState'
import { evidenceOfReview, setEvidence } from './evidenceFiles'
import { declinedPhotos, setDeclined } from './photos'
import { setCurrentVersion } from './reviewVersions'
import { tagReview } from './tags'
import { tables } from './schema/tables'
import { row, whereOf } from './rows'
import { pick, readOne, value } from './select'

/** Everything about a review that people decide on. */
export async function readDecisionState(db: Knex, shopId: number, reviewId: number): Promise<DecisionState> {
  const decided = await readOne(db('review').where(whereOf(tables.review, { shopId, id: reviewId })), {
    ...pick(tables.review, 'state', 'showable', 'publishedVersionId', 'publishedAt'),
    ...pick(tables.review, 'declineReasonId', 'productId', 'replyId'),
    versionId: tables.review.currentVersionId,
    verificationId: value(
      z.number().nullable(),
      db('verification').whereRaw('verification.review_id = review.id').whereNull('revoked_at').max('id'),
    ),
  })
  const tagIds: number[] = await db('review_tag')
    .where({ review_id: reviewId })
    .orderBy('tag_id')
    .pluck('tag_id')
  return {
    ...decided,
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
    .update(
      row(tables.review, {
        state: to.state,
        showable: to.showable,
        publishedVersionId: to.publishedVersionId,
        publishedAt: to.publishedAt,
        declineReasonId: to.declineReasonId,
        productId: to.productId,
        replyId: to.replyId,
        verified: to.verificationId !== null,
        revision: trx.raw('revision + 1'),
        ...(from.state !== to.state && to.state !== 'held' && { unconfirmed: false }),
      }),
    )
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
