import { HELD_FROM, SPAM_FROM, strangersKinds, type ReviewState } from './rules'
import type { SignalKind } from './signal'

export const acts = ['approve', 'decline', 'spam'] as const
export type Act = (typeof acts)[number]

/** The state after each action. */
export const stateAfter: Record<Act, ReviewState> = { approve: 'approved', decline: 'declined', spam: 'spam' }

/** The most likely action; null if the review is decided or a person has to choose. */
export function likelyAct(review: {
  state: ReviewState
  score: number
  kinds: SignalKind[]
  verified: boolean
}): Act | null {
  if (review.state !== 'waiting' && review.state !== 'held') return null
  if (review.score >= SPAM_FROM || review.kinds.includes('trap')) return 'spam'
  // In between, both happen.
  if (review.score >= HELD_FROM) return null
  // Perhaps an honest customer's own page, perhaps not.
  if (!review.verified && review.kinds.some((kind) => strangersKinds.includes(kind))) return null
  // Approving would publish personal data and declining would silence a fair review, so the owner chooses.
  if (review.kinds.includes('personal')) return null
  if (review.kinds.includes('notoken') && !review.verified) return null
  return 'approve'
}
