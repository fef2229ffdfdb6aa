import type { Knex } from 'knex'
import { sourcePolicies } from '../../core/intake/sourcePolicy'
import { decidingKinds } from '../../core/moderation/reviewAct'
import { renewedKinds } from '../../core/moderation/rules'
import type { Signal, SignalKind } from '../../core/moderation/signal'
import type { ProofFailure, ProofMethod } from '../../core/proof/matchOrder'
import { insertProof, insertSignals } from './reviewWriting'
import { tables } from './schema/tables'
import { row, whereOf } from './rows'
import { hasRows, like, maybe, orEmpty, pick, readAll, readOne, type Selected } from './select'

const confirmable = (db: Knex) => ({
  ...pick(tables.review, 'id', 'state', 'source', 'score', 'verified', 'confirmedAt', 'receivedAt', 'photos'),
  ...pick(tables.reviewVersion, 'language', 'title', 'body', 'rating', 'authorName'),
  versionId: tables.review.currentVersionId,
  /** Counted from 1. */
  versionNumber: tables.reviewVersion.number,
  /** Who can write, as its product or else its form says. */
  writers: like(
    tables.form.writers,
    db.raw("CASE WHEN form.id IS NULL THEN 'anyone' ELSE ifnull(product.writers, form.writers) END"),
  ),
  /** What its form or listing is set to now; null without one. */
  arrivesAs: like(maybe(tables.form.arrivesAs), db.raw('ifnull(form.arrives_as, listing.arrives_as)')),
  address: orEmpty(db, tables.customer.address),
  orderNumber: tables.review.claimedOrder,
  productSku: orEmpty(db, tables.product.sku),
  productTitle: orEmpty(db, tables.product.title),
  /** Whether only its writer could do something so far, so that members did not hear of it. */
  waitedForWriter: tables.review.unconfirmed,
})

/** The part of a review that confirming reads. */
export interface Confirmable extends Selected<ReturnType<typeof confirmable>> {
  /** The kinds of its signals, without those that are found out anew. */
  kinds: SignalKind[]
  /** Whether a member has approved or declined it, or marked it as spam. */
  decidedByPerson: boolean
}

export async function confirmationOf(db: Knex, shopId: number, reviewId: number): Promise<Confirmable> {
  const query = db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('form', 'form.id', 'review.form_id')
    .leftJoin('listing', 'listing.id', 'review.listing_id')
    .where(whereOf(tables.review, { shopId, id: reviewId }))
  const found = await readOne(query, confirmable(db))
  const signals = await readAll(
    db('signal')
      .where({ version_id: found.versionId })
      .whereNotIn('kind', [...renewedKinds]),
    pick(tables.signal, 'kind'),
  )
  const decidedByPerson = await hasRows(
    db('decision')
      .where({ shop_id: shopId, review_id: reviewId })
      .whereNotNull('member_id')
      .whereIn('act', decidingKinds),
  )
  return { ...found, kinds: signals.map(({ kind }) => kind), decidedByPerson }
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
    .update(
      row(tables.review, {
        confirmedAt: now,
        // A confirmed review belongs to the customer, so it counts in averages.
        inAverages: true,
        ...(proof && { verified: true, proofFailure: null }),
        ...(proofFailure && sourcePolicies[review.source].explainsProof && { proofFailure }),
      }),
    )
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
