import type { Knex } from 'knex'
import type { Review, ReviewVersion } from '../../core/intake/review'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { Writers } from '../../core/intake/writers'
import { decidingKinds } from '../../core/moderation/reviewAct'
import { renewedKinds } from '../../core/moderation/rules'
import type { Signal, SignalKind } from '../../core/moderation/signal'
import type { ProofFailure, ProofMethod } from '../../core/proof/matchOrder'
import { insertProof, insertSignals } from './reviewWriting'

/** The part of a review that confirming reads. */
export interface Confirmable
  extends
    Pick<
      Review,
      'id' | 'versionId' | 'state' | 'source' | 'score' | 'verified' | 'confirmedAt' | 'receivedAt'
    >,
    Pick<ReviewVersion, 'title' | 'body' | 'rating' | 'authorName'> {
  /** Who can write, as its product or else its form says. */
  writers: Writers
  /** What its form or listing is set to now; null without one. */
  arrivesAs: 'waiting' | 'approved' | null
  /** Counted from 1. */
  versionNumber: number
  language: string | null
  address: string
  orderNumber: string
  productSku: string
  productTitle: string
  photos: number
  /** The kinds of its signals, without those that are found out anew. */
  kinds: SignalKind[]
  /** Whether a member has approved or declined it, or marked it as spam. */
  decidedByPerson: boolean
  /** Whether only its writer could do something so far, so that members did not hear of it. */
  waitedForWriter: boolean
}

type Row = Omit<Confirmable, 'kinds' | 'decidedByPerson' | 'verified' | 'waitedForWriter'> & {
  verified: 0 | 1
  waitedForWriter: 0 | 1
}

export async function confirmationOf(db: Knex, shopId: number, reviewId: number): Promise<Confirmable> {
  const row: Row = await db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('form', 'form.id', 'review.form_id')
    .leftJoin('listing', 'listing.id', 'review.listing_id')
    .where({ 'review.shop_id': shopId, 'review.id': reviewId })
    .first({
      id: 'review.id',
      versionId: 'review.current_version_id',
      state: 'review.state',
      source: 'review.source',
      score: 'review.score',
      verified: 'review.verified',
      confirmedAt: 'review.confirmed_at',
      writers: db.raw(
        "CASE WHEN form.id IS NULL THEN 'anyone' ELSE ifnull(product.writers, form.writers) END",
      ),
      arrivesAs: db.raw('ifnull(form.arrives_as, listing.arrives_as)'),
      versionNumber: 'review_version.number',
      language: 'review_version.language',
      title: 'review_version.title',
      body: 'review_version.body',
      rating: 'review_version.rating',
      authorName: 'review_version.author_name',
      address: db.raw("ifnull(customer.address, '')"),
      orderNumber: 'review.claimed_order',
      productSku: db.raw("ifnull(product.sku, '')"),
      productTitle: db.raw("ifnull(product.title, '')"),
      receivedAt: 'review.received_at',
      photos: 'review.photos',
      waitedForWriter: 'review.unconfirmed',
    })
  const kinds: SignalKind[] = await db('signal')
    .where({ version_id: row.versionId })
    .whereNotIn('kind', [...renewedKinds])
    .pluck('kind')
  const decided = await db('decision')
    .where({ shop_id: shopId, review_id: reviewId })
    .whereNotNull('member_id')
    .whereIn('act', decidingKinds)
    .first('id')
  return {
    ...row,
    verified: row.verified === 1,
    waitedForWriter: row.waitedForWriter === 1,
    kinds,
    decidedByPerson: decided !== undefined,
  }
}

/** Stores that an address is confirmed, and what that proves. */
export async function storeConfirmation(
  trx: Knex.Transaction,
  shopId: number,
  review: Pick<Confirmable, 'id' | 'source'>,
  {
    proof,
    proofFailure,
    now,
  }: {
    proof: { lineId: number; method: ProofMethod } | null
    proofFailure: ProofFailure | null
    now: string
  },
): Promise<void> {
  if (proof) await insertProof(trx, shopId, review.id, proof, now)
  await trx('review')
    .where({ shop_id: shopId, id: review.id })
    .update({
      confirmed_at: now,
      // A confirmed review belongs to the customer, so it counts in averages.
      in_averages: true,
      ...(proof && { verified: true, proof_failure: null }),
      ...(proofFailure && sourcePolicies[review.source].explainsProof && { proof_failure: proofFailure }),
    })
}

/** Replaces the signals that are found out anew each time. */
export async function replaceRenewedSignals(
  trx: Knex.Transaction,
  shopId: number,
  versionId: number,
  signals: Signal[],
): Promise<void> {
  const gone = trx('signal')
    .where({ version_id: versionId })
    .whereIn('kind', [...renewedKinds])
  await trx('signal_place').whereIn('signal_id', gone.clone().select('id')).delete()
  await gone.delete()
  await insertSignals(trx, shopId, [{ versionId, signals }])
}
