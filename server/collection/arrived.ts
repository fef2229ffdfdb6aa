import type { Candidate } from '../../core/intake/candidate'
import type { Actor } from '../../core/moderation/actor'
import type { Intake } from '../data/intakes'
import type { KnownReview } from '../data/knownReviews'
import type { Product } from '../data/products'
import type { Receipt } from '../data/receipts'
import type { NewReview } from '../data/reviewWriting'
import type { Judged } from './judge'

/** Reviews from one source, at most a few hundred; a form sends one. */
export interface Batch {
  actor: Actor
  /** What they belong to; null for a single review. */
  intake: Intake | null
  candidates: Candidate[]
}

export interface Received {
  /** Known ones are stored already and unchanged. */
  outcome: 'stored' | 'changed' | 'known'
  reviewId: number
  publicId: string
  /** Null for known ones. */
  receipt: Receipt | null
}

/** A candidate on its way. */
export interface Arrived {
  candidate: Candidate
  product: Product | undefined
  known: KnownReview | null
  judged: Judged
  /** What is stored, if it is new. */
  review: NewReview
  /** Whether its writer is asked to confirm the address. */
  invited: boolean
}
