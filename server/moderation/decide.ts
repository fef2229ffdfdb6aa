import type { Knex } from 'knex'
import { stateAfter, type Act } from '../../core/moderation/likelyAct'
import type { ReviewState } from '../../core/moderation/rules'
import { appendDecision, type ReviewPoint } from '../data/decisions'
import type { Member } from '../data/members'
import { claimReview, putReview } from '../data/reviewMoves'
import { findReview, type FullReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { digestOfVersion } from './digest'

export type DecideOutcome =
  | { outcome: 'done'; review: FullReview }
  | { outcome: 'conflict' | 'alreadyThere'; authorName: string; state: ReviewState }
  | { outcome: 'gone' }

/**
 * A member's act on a review: the change, its entry in the log and the work that follows from it, in one transaction.
 * @param revision the review's revision as the member saw it; when it has moved on, nothing is changed
 */
export async function decide(
  services: Services,
  shop: Shop,
  member: Member,
  publicId: string,
  act: Act,
  revision: number,
): Promise<DecideOutcome> {
  const now = services.now().toISOString()
  const outcome = await writing(services.db, async (trx): Promise<DecideOutcome> => {
    const claimed = await claimReview(trx, shop.id, publicId, revision, stateAfter[act])
    const review = await findReview(trx, shop.id, { publicId })
    if (!review) return { outcome: 'gone' }
    if (!claimed) {
      const outcome = review.revision === revision ? 'alreadyThere' : 'conflict'
      return { outcome, authorName: review.authorName, state: review.state }
    }
    const after: ReviewPoint =
      act === 'approve'
        ? { state: 'approved', publishedVersionId: review.versionId, publishedAt: now }
        : { state: stateAfter[act], publishedVersionId: null, publishedAt: null }
    await moveReview(trx, shop, review, after, now)
    await appendDecision(trx, {
      shopId: shop.id,
      act,
      memberId: member.id,
      reviewId: review.id,
      before: pointOf(review),
      after,
      digest: digestOfVersion(review),
      at: now,
    })
    return { outcome: 'done', review }
  })
  if (outcome.outcome === 'done') services.changes.announce(shop.id)
  services.wakeJobs()
  return outcome
}

export function pointOf({ state, publishedVersionId, publishedAt }: FullReview): ReviewPoint {
  return { state, publishedVersionId, publishedAt }
}

/** Puts a review into a state, and has the displays rendered anew when what visitors may read has changed. */
export async function moveReview(
  trx: Knex.Transaction,
  shop: Shop,
  review: FullReview,
  to: ReviewPoint,
  now: string,
): Promise<void> {
  await putReview(trx, shop.id, review.id, to)
  const wasPublic = review.state === 'approved' && review.showable
  const isPublic = to.state === 'approved' && review.showable
  if (wasPublic || isPublic) await markAllStale(trx, shop.id, now)
}
