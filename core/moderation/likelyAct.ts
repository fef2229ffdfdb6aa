import { HELD_FROM, type ReviewState } from './rules'
import type { SignalKind } from './signal'

export const acts = ['approve', 'decline', 'spam'] as const
export type Act = (typeof acts)[number]

/** The state that an act leads to. */
export const stateAfter: Record<Act, ReviewState> = { approve: 'approved', decline: 'declined', spam: 'spam' }

/** The act that most owners will want next, or none where it is decided already or must be weighed by a person. */
export function likelyAct(review: {
  state: ReviewState
  score: number
  kinds: SignalKind[]
  verified: boolean
}): Act | null {
  if (review.state !== 'waiting' && review.state !== 'held') return null
  if (review.score >= HELD_FROM || review.kinds.includes('trap')) return 'spam'
  // Approving puts somebody's number on the shop's page, declining silences a fair voice: the owner's choice alone.
  if (review.kinds.includes('personal')) return null
  if (review.kinds.includes('notoken') && !review.verified) return 'spam'
  return 'approve'
}
