import type { ReviewState } from '../../core/moderation/rules'
import { appendDecision, isOvertaken, latestStandingAct, reviewPointSchema } from '../data/decisions'
import type { Member } from '../data/members'
import { advanceReview } from '../data/reviewMoves'
import { findReview, type FullReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { moveReview, pointOf } from './decide'
import { digestOfVersion } from './digest'

export type UndoOutcome =
  | { outcome: 'done'; review: FullReview; state: ReviewState }
  | { outcome: 'overtaken'; review: FullReview; decisionId: number }
  | { outcome: 'nothing' }

/**
 * Takes back the member's latest act that still stands; called again, the one before it, without a limit.
 * @param passing acts to step over: those that somebody else has overtaken and the member was told of
 */
export async function undo(
  services: Services,
  shop: Shop,
  member: Member,
  passing: number[] = [],
): Promise<UndoOutcome> {
  const now = services.now().toISOString()
  const outcome = await writing(services.db, async (trx): Promise<UndoOutcome> => {
    const decision = await latestStandingAct(trx, shop.id, member.id, passing)
    const review = decision && (await findReview(trx, shop.id, { id: decision.reviewId! }))
    if (!decision || !review) return { outcome: 'nothing' }
    if (await isOvertaken(trx, decision)) return { outcome: 'overtaken', review, decisionId: decision.id }
    const before = reviewPointSchema.parse(JSON.parse(decision.before))
    await advanceReview(trx, shop.id, review.id)
    await moveReview(trx, shop, review, before, now)
    await appendDecision(trx, {
      shopId: shop.id,
      act: 'undo',
      memberId: member.id,
      reviewId: review.id,
      undoesId: decision.id,
      before: pointOf(review),
      after: before,
      digest: digestOfVersion(review),
      at: now,
    })
    return { outcome: 'done', review, state: before.state }
  })
  if (outcome.outcome === 'done') services.changes.announce(shop.id)
  services.wakeJobs()
  return outcome
}
