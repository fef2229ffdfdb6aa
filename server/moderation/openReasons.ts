import type { Knex } from 'knex'
import { arrivalState, waitsForWriter, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { writersSignals } from '../../core/moderation/signals/writers'
import { confirmationOf, putOpenSignals, type Confirmable } from '../data/confirmations'

/**
 * Applies the rules again after an email address or purchase is verified, or no longer is: it replaces the
 * signals that depend on it and returns the resulting state. Decisions of members stay.
 */
export function openReasons(
  review: Confirmable,
  { confirmed, verified }: { confirmed: boolean; verified: boolean },
): { open: Signal[]; state: ReviewState; unconfirmed: boolean } {
  const open = writersSignals(review.writers, { confirmed, verified, photos: review.photos })
  const weighed = { score: review.score, kinds: [...review.kinds, ...open.map(({ kind }) => kind)] }
  const goesOn = review.state === 'held' && !review.decidedByPerson
  const state = goesOn ? arrivalState(weighed) : review.state
  return { open, state, unconfirmed: state === 'held' && waitsForWriter(weighed) }
}

/** Replaces these signals and returns the resulting state. */
export async function renewOpenReasons(
  trx: Knex.Transaction,
  shopId: number,
  reviewId: number,
  verified: boolean,
): Promise<ReviewState> {
  const review = await confirmationOf(trx, shopId, reviewId)
  const { open, state } = openReasons(review, { confirmed: review.confirmedAt !== null, verified })
  await putOpenSignals(trx, shopId, review.versionId, open)
  return state
}
