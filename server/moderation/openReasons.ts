import type { Knex } from 'knex'
import { arrivalState, waitsForWriter, type ReviewState } from '../../core/moderation/rules'
import type { Signal } from '../../core/moderation/signal'
import { writersSignals } from '../../core/moderation/signals/writers'
import { confirmationOf, putOpenSignals, type Confirmable } from '../data/confirmations'

/**
 * Runs the rules again once an email address or a purchase is proven, or no longer is: the reasons that come and go with them,
 * and the state that follows. What a person has decided stays.
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

/** Puts those reasons in place of the ones that were there, and answers the state that follows. */
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
