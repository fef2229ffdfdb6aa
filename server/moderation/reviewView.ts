import { z } from 'zod'
import { placeName } from '../../core/listing/origins'
import { postedReview, type PostedReview } from '../data/listingReviews'
import type { RatingTally } from '../../core/curation/ratingTally'
import { revertibleActs } from '../../core/moderation/reviewAct'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { decisionsOfReview } from '../data/decisions'
import type { LessonLine } from '../data/lessons'
import type { Member } from '../data/members'
import { approvedTally } from '../data/reviewCounts'
import {
  earlierOfCustomer,
  findReview,
  proofOfReview,
  signalsOfVersion,
  versionWords,
  type FullReview,
  type ProofKept,
  type VersionWords,
} from '../data/reviewReading'
import { photosOfVersion, type ReviewPhoto } from '../data/photos'
import type { Shop } from '../data/shops'
import { evidenceOfReview, type EvidenceFile } from '../data/evidenceFiles'
import { displaysWithReview } from '../data/snapshots'
import { tagsOfReviews } from '../data/tags'
import type { Services } from '../services'
import { taughtBy } from './lessons'
import { groupView, type GroupView } from './reviewGroups'

export interface HistoryEntry {
  number: number
  act: string
  memberId: number | null
  memberName: string | null
  state: ReviewState
  at: string
  hash: string
  undone: boolean
  /** Whether the entry can be reverted. */
  effective: boolean
}

/** All data of one review for the owner. */
export interface ReviewView {
  review: Omit<FullReview, 'salt'>
  signals: Signal[]
  /** What the shop marked as spam and this review resembles, if that gave it points. */
  taughtBy: LessonLine[]
  /** The published text, if it differs from the latest version. */
  published: VersionWords | null
  proof: ProofKept | null
  photos: ReviewPhoto[]
  group: GroupView | null
  productTally: RatingTally | null
  earlier: number
  standsIn: { key: string; name: string }[]
  history: HistoryEntry[]
  tags: string[]
  evidence: EvidenceFile[]
  /** Null for reviews that came to the shop itself. */
  posted: (PostedReview & { site: string }) | null
}

export async function reviewView(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<ReviewView | null> {
  const { db, origins } = services
  const found = await findReview(db, shop.id, { publicId })
  if (!found) return null
  const { salt: _salt, ...review } = found
  const posted = await postedReview(db, shop.id, review.id)
  const decisions = await decisionsOfReview(db, shop.id, review.id)
  const undone = new Set(decisions.map(({ undoesId }) => undoesId))
  const signals = await signalsOfVersion(db, shop.id, review.versionId)
  return {
    review,
    taughtBy: signals.some(({ detail }) => detail.includes('signal.wordingOwn'))
      ? await taughtBy(services, shop, review)
      : [],
    published:
      review.publishedVersionId !== null && review.publishedVersionId !== review.versionId
        ? await versionWords(db, review.publishedVersionId)
        : null,
    signals,
    photos: await photosOfVersion(db, shop.id, review.versionId),
    group: await groupView(db, shop.id, review),
    proof: (await proofOfReview(db, shop.id, review.id)) ?? null,
    productTally: review.productId === null ? null : await approvedTally(db, shop.id, review.productId),
    earlier:
      review.customerId === null ? 0 : await earlierOfCustomer(db, shop.id, review.customerId, review.id),
    tags: (await tagsOfReviews(db, shop.id, [review.id])).get(review.id) ?? [],
    evidence: await evidenceOfReview(db, shop.id, review.id),
    posted: posted && {
      ...posted,
      site: placeName(origins, { origin: posted.origin, name: posted.listingName }),
    },
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
      effective: !undone.has(entry.id) && isReviewAct(entry.act),
    })),
  }
}

const isReviewAct = (act: string) => revertibleActs.includes(act)

function stateIn(after: string): ReviewState {
  const { state } = z.object({ state: z.string().optional() }).parse(JSON.parse(after))
  return reviewStates.find((known) => known === state) ?? 'waiting'
}

/** Notes that a member reads a review. Returns the names of others who read it now. */
export function readTogether(
  { presence, changes, now }: Services,
  shop: Shop,
  member: Member,
  publicId: string,
): string[] {
  const { others, moved } = presence.see(shop.id, member, publicId, now().getTime())
  if (moved) changes.announce(shop.id)
  return others
}
