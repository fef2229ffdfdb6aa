import type { Knex } from 'knex'
import type { ProofFailure, ProofMethod } from '../../core/proof/matchOrder'

/** A manual verification. It takes effect with the decision state of the review. */
export async function insertVouch(
  trx: Knex.Transaction,
  vouch: { shopId: number; reviewId: number; memberId: number; reason: string; now: string },
): Promise<number> {
  const [id] = await trx('verification').insert({
    shop_id: vouch.shopId,
    review_id: vouch.reviewId,
    method: 'manual',
    member_id: vouch.memberId,
    reason: vouch.reason,
    created_at: vouch.now,
    revoked_at: vouch.now,
  })
  return id!
}

/** Revokes a verification with a reason. `memberId` is null if orders caused it. */
export async function noteRevocation(
  trx: Knex.Transaction,
  id: number,
  memberId: number | null,
  reason: string,
): Promise<void> {
  await trx('verification').where({ id }).update({ revoked_by: memberId, revoked_reason: reason })
}

/**
 * A review whose verification depends on orders: it has an order number or a confirmed email address, and
 * nobody removed the badge.
 */
export interface Provable {
  id: number
  publicId: string
  authorName: string
  orderNumber: string
  /** Empty if not confirmed. */
  provenEmail: string
  productSku: string
  receivedAt: string
  verificationId: number | null
  lineId: number | null
  method: ProofMethod | 'manual' | null
}

/** A batch of them, after a review id. */
export async function provableReviews(
  db: Knex,
  shopId: number,
  after: number,
  limit: number,
): Promise<Provable[]> {
  return db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('verification', (join) =>
      join.on('verification.review_id', 'review.id').andOnNull('verification.revoked_at'),
    )
    .where('review.shop_id', shopId)
    .where('review.id', '>', after)
    .where((given) => void given.whereNotNull('review.confirmed_at').orWhereNot('review.claimed_order', ''))
    .whereNotExists(
      db('verification as taken')
        .whereRaw('taken.review_id = review.id')
        .whereNotNull('taken.revoked_by')
        .whereNotNull('taken.revoked_at'),
    )
    .orderBy('review.id')
    .limit(limit)
    .select({
      id: 'review.id',
      publicId: 'review.public_id',
      authorName: 'review_version.author_name',
      orderNumber: 'review.claimed_order',
      provenEmail: db.raw(
        "CASE WHEN review.confirmed_at IS NULL THEN '' ELSE ifnull(customer.address, '') END",
      ),
      productSku: db.raw("ifnull(product.sku, '')"),
      receivedAt: 'review.received_at',
      verificationId: 'verification.id',
      lineId: 'verification.purchase_line_id',
      method: 'verification.method',
    })
}

export async function setProofFailure(
  trx: Knex,
  reviewId: number,
  failure: ProofFailure | null,
): Promise<void> {
  await trx('review').where({ id: reviewId }).update({ proof_failure: failure })
}
