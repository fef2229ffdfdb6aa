import type { Knex } from 'knex'
import type { Review, ReviewVersion } from '../../core/intake/review'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import type { Writers } from '../../core/intake/writers'
import { reviewActKinds } from '../../core/moderation/reviewAct'
import { openKinds, type ReviewState } from '../../core/moderation/rules'
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
  writers: Writers
  address: string
  orderNumber: string
  productSku: string
  productTitle: string
  photos: number
  /** The kinds of its signals, without those that confirming can remove. */
  kinds: SignalKind[]
  decidedByPerson: boolean
}

type Row = Omit<Confirmable, 'kinds' | 'decidedByPerson' | 'verified'> & { verified: 0 | 1 }

export async function confirmationOf(db: Knex, shopId: number, reviewId: number): Promise<Confirmable> {
  const row: Row = await db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('form', 'form.id', 'review.form_id')
    .where({ 'review.shop_id': shopId, 'review.id': reviewId })
    .first({
      id: 'review.id',
      versionId: 'review.current_version_id',
      state: 'review.state',
      source: 'review.source',
      score: 'review.score',
      verified: 'review.verified',
      confirmedAt: 'review.confirmed_at',
      writers: db.raw("ifnull(form.writers, 'anyone')"),
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
    })
  const kinds: SignalKind[] = await db('signal')
    .where({ version_id: row.versionId })
    .whereNotIn('kind', [...openKinds])
    .pluck('kind')
  const decided = await db('decision')
    .where({ shop_id: shopId, review_id: reviewId })
    .whereNotNull('member_id')
    .whereIn('act', reviewActKinds)
    .first('id')
  return { ...row, verified: row.verified === 1, kinds, decidedByPerson: decided !== undefined }
}

export async function keepConfirmation(
  trx: Knex.Transaction,
  shopId: number,
  review: Pick<Confirmable, 'id' | 'versionId' | 'source'>,
  outcome: {
    state: ReviewState
    unconfirmed: boolean
    open: Signal[]
    proof: { lineId: number; method: ProofMethod } | null
    proofFailure: ProofFailure | null
    now: string
  },
): Promise<void> {
  await putOpenSignals(trx, shopId, review.versionId, outcome.open)
  if (outcome.proof) await insertProof(trx, shopId, review.id, outcome.proof, outcome.now)
  await trx('review')
    .where({ shop_id: shopId, id: review.id })
    .update({
      confirmed_at: outcome.now,
      state: outcome.state,
      unconfirmed: outcome.unconfirmed,
      revision: trx.raw('revision + 1'),
      // A confirmed review belongs to the customer, so it counts in averages.
      in_averages: true,
      ...(outcome.proof && { verified: true, proof_failure: null }),
      ...(outcome.proofFailure &&
        sourcePolicies[review.source].explainsProof && { proof_failure: outcome.proofFailure }),
    })
}

/** Replaces the signals that depend on the email address and the purchase. */
export async function putOpenSignals(
  trx: Knex.Transaction,
  shopId: number,
  versionId: number,
  open: Signal[],
): Promise<void> {
  const gone = trx('signal')
    .where({ version_id: versionId })
    .whereIn('kind', [...openKinds])
  await trx('signal_place').whereIn('signal_id', gone.clone().select('id')).delete()
  await gone.delete()
  await insertSignals(trx, shopId, [{ versionId, signals: open }])
}
