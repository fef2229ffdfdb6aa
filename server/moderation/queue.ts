import type { RatingTally } from '../../core/curation/ratingTally'
import type { Signal } from '../../core/moderation/signal'
import type { ReviewState } from '../../core/moderation/rules'
import { reviewStates } from '../../core/moderation/rules'
import { decisionsOfReview } from '../data/decisions'
import { approvedTally, laneCounts, ratingsInLane, showableCount } from '../data/reviewCounts'
import {
  neighbourInLane,
  oldestUndecided,
  reviewsInLane,
  type LaneFilter,
  type ReviewLine,
} from '../data/reviewLists'
import {
  earlierOfCustomer,
  findReview,
  proofOfReview,
  signalsOfVersion,
  type FullReview,
} from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { displaysWithReview } from '../data/snapshots'
import type { Services } from '../services'

/** The state of the queue and one lane of it. */
export interface QueueView {
  counts: Record<ReviewState, number>
  ready: number
  oldest: { publicId: string; state: ReviewState; receivedAt: string } | null
  ratings: { rating: number; count: number }[]
  lines: ReviewLine[]
  /** How many the filter lets through. */
  total: number
}

export async function queueView(
  { db }: Services,
  shop: Shop,
  filter: LaneFilter,
  limit: number,
): Promise<QueueView> {
  const ratings = await ratingsInLane(db, shop.id, filter.state)
  const counts = await laneCounts(db, shop.id)
  return {
    counts,
    ready: await showableCount(db, shop.id),
    oldest: (await oldestUndecided(db, shop.id)) ?? null,
    ratings,
    lines: await reviewsInLane(db, shop.id, filter, limit),
    total:
      filter.rating === null
        ? counts[filter.state]
        : (ratings.find(({ rating }) => rating === filter.rating)?.count ?? 0),
  }
}

export interface HistoryEntry {
  number: number
  act: string
  memberId: number | null
  memberName: string | null
  state: ReviewState
  at: string
  hash: string
  undone: boolean
}

/** Everything the reading pane shows of one review. */
export interface ReviewView {
  review: Omit<FullReview, 'salt'>
  signals: Signal[]
  proof: { orderNumber: string; productTitle: string; deliveredAt: string } | null
  productTally: RatingTally | null
  earlier: number
  standsIn: { key: string; name: string }[]
  history: HistoryEntry[]
}

export async function reviewView({ db }: Services, shop: Shop, publicId: string): Promise<ReviewView | null> {
  const found = await findReview(db, shop.id, { publicId })
  if (!found) return null
  const { salt: _salt, ...review } = found
  const decisions = await decisionsOfReview(db, shop.id, review.id)
  const undone = new Set(decisions.map(({ undoesId }) => undoesId))
  return {
    review,
    signals: await signalsOfVersion(db, shop.id, review.versionId),
    proof: (await proofOfReview(db, shop.id, review.id)) ?? null,
    productTally: review.productId === null ? null : await approvedTally(db, shop.id, review.productId),
    earlier:
      review.customerId === null ? 0 : await earlierOfCustomer(db, shop.id, review.customerId, review.id),
    standsIn: await displaysWithReview(db, shop.id, review.id),
    history: decisions.map((entry) => ({
      number: entry.number,
      act: entry.act,
      memberId: entry.memberId,
      memberName: entry.memberName,
      state: stateIn(entry.after),
      at: entry.at,
      hash: entry.hash,
      undone: undone.has(entry.id),
    })),
  }
}

function stateIn(after: string): ReviewState {
  const { state } = JSON.parse(after) as { state?: string }
  return reviewStates.find((known) => known === state) ?? 'waiting'
}

/** The reviews before and after one in its lane. */
export async function neighbours(
  { db }: Services,
  shop: Shop,
  filter: LaneFilter,
  reviewId: number,
): Promise<{ after: { publicId: string; authorName: string } | null; before: { publicId: string } | null }> {
  return {
    after: (await neighbourInLane(db, shop.id, filter, reviewId, 'after')) ?? null,
    before: (await neighbourInLane(db, shop.id, filter, reviewId, 'before')) ?? null,
  }
}

/** The lane to open when nothing else is asked: the review's own, else waiting or held back, whichever has some. */
export async function laneToOpen(
  { db }: Services,
  shop: Shop,
  publicId: string | null,
): Promise<ReviewState> {
  const review = publicId === null ? null : await findReview(db, shop.id, { publicId })
  if (review) return review.state
  const { waiting, held } = await laneCounts(db, shop.id)
  return waiting === 0 && held > 0 ? 'held' : 'waiting'
}
