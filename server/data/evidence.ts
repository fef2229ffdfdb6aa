import type { Knex } from 'knex'
import type { ProofFailure } from '../../core/proof/matchOrder'
import { addressedSources } from '../../core/intake/sourcePolicy'
import { tables } from './schema/tables'
import { insert, row } from './rows'
import { like, maybe, orEmpty, pick, readAll, type Selected } from './select'

/** A manual verification. It takes effect with the decision state of the review. */
export async function insertVouch(
  trx: Knex.Transaction,
  vouch: { shopId: number; reviewId: number; memberId: number; reason: string; now: string },
): Promise<number> {
  const { now, ...given } = vouch
  return insert(trx, tables.verification, { ...given, method: 'manual', createdAt: now, revokedAt: now })
}

/** Revokes a verification with a reason. `memberId` is null if orders caused it. */
export async function noteRevocation(
  trx: Knex.Transaction,
  id: number,
  memberId: number | null,
  reason: string,
): Promise<void> {
  await trx('verification')
    .where({ id })
    .update(row(tables.verification, { revokedBy: memberId, revokedReason: reason }))
}

/**
 * A review whose verification depends on orders: it has an order number or a confirmed email address, and
 * nobody removed the badge.
 */
export type Provable = Selected<ReturnType<typeof provable>>

const provable = (db: Knex) => ({
  ...pick(tables.review, 'id', 'publicId', 'receivedAt'),
  authorName: tables.reviewVersion.authorName,
  orderNumber: tables.review.claimedOrder,
  /** Empty if not confirmed. */
  provenEmail: like(
    tables.customer.address,
    db.raw("CASE WHEN review.confirmed_at IS NULL THEN '' ELSE ifnull(customer.address, '') END"),
  ),
  productSku: orEmpty(db, tables.product.sku),
  verificationId: maybe(tables.verification.id),
  lineId: tables.verification.purchaseLineId,
  method: maybe(tables.verification.method),
})

/** A batch of them, after a review id. */
export async function provableReviews(
  db: Knex,
  shopId: number,
  after: number,
  limit: number,
): Promise<Provable[]> {
  const query = db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('verification', (join) =>
      join.on('verification.review_id', 'review.id').andOnNull('verification.revoked_at'),
    )
    .where('review.shop_id', shopId)
    .where('review.id', '>', after)
    .where((given) => void given.whereNotNull('review.confirmed_at').orWhereNot('review.claimed_order', ''))
    .where(
      (given) =>
        void given.whereNotNull('review.customer_id').orWhereNotIn('review.source', addressedSources),
    )
    .whereNotExists(
      db('verification as taken')
        .whereRaw('taken.review_id = review.id')
        .whereNotNull('taken.revoked_by')
        .whereNotNull('taken.revoked_at'),
    )
    .orderBy('review.id')
    .limit(limit)
  return readAll(query, provable(db))
}

export async function setProofFailure(
  trx: Knex,
  reviewId: number,
  failure: ProofFailure | null,
): Promise<void> {
  await trx('review')
    .where({ id: reviewId })
    .update(row(tables.review, { proofFailure: failure }))
}
