import type { Knex } from 'knex'
import type { AboutWriter } from '../../core/intake/candidate'
import type { Review, ReviewVersion } from '../../core/intake/review'

import type { Place, Signal } from '../../core/moderation/signal'
import { countRows } from './countRows'
import { readAnswers } from './versionRow'

/** Everything the owner can read of a review, with its latest version. */
export interface FullReview
  extends
    Omit<Review, 'unconfirmed'>,
    Pick<ReviewVersion, 'title' | 'body' | 'authorName' | 'rating' | 'language' | 'salt' | 'answers'>,
    Pick<AboutWriter, 'role' | 'company' | 'seenUrl' | 'relationship' | 'portrait'> {
  customerId: number | null
  authorEmail: string | null
  /** The other reviews of its group. */
  groupId: number | null
  productTitle: string | null
  productSku: string | null
  productPicture: string | null
  reply: { name: string; body: string; postedAt: string } | null
  replyDraft: string
  declineReason: string
}

const columns = {
  id: 'review.id',
  publicId: 'review.public_id',
  state: 'review.state',
  revision: 'review.revision',
  rating: 'review.rating',
  showable: 'review.showable',
  verified: 'review.verified',
  proofFailure: 'review.proof_failure',
  claimedOrder: 'review.claimed_order',
  score: 'review.score',
  receivedAt: 'review.received_at',
  publishedVersionId: 'review.published_version_id',
  publishedAt: 'review.published_at',
  confirmedAt: 'review.confirmed_at',
  customerLanguage: 'review.customer_language',
  customerId: 'review.customer_id',
  groupId: 'review.group_id',
  productId: 'review.product_id',
  productTitle: 'product.title',
  productSku: 'product.sku',
  authorEmail: 'customer.address',
  source: 'review.source',
  note: 'review.note',
  replyName: 'reply.name',
  replyBody: 'reply.body',
  replyPostedAt: 'reply.posted_at',
  replyDraft: 'review.reply_draft',
  needsReply: 'review.needs_reply',
  declineReason: 'decline_reason.reason',
  role: 'review_version.author_role',
  company: 'review_version.company',
  seenUrl: 'review_version.seen_url',
  relationship: 'review_version.relationship',
  portrait: 'review_version.portrait',
  productPicture: 'product.picture',
  versionId: 'review_version.id',
  title: 'review_version.title',
  body: 'review_version.body',
  authorName: 'review_version.author_name',
  language: 'review_version.language',
  salt: 'review_version.salt',
  answers: 'review_version.answers',
}

type Row = Omit<
  FullReview,
  'showable' | 'verified' | 'needsReply' | 'reply' | 'declineReason' | 'answers'
> & {
  answers: string
  showable: 0 | 1
  verified: 0 | 1
  needsReply: 0 | 1
  replyName: string | null
  replyBody: string | null
  replyPostedAt: string | null
  declineReason: string | null
}

/** Finds a review of this shop by its integer or public id, unless its intake was undone. */
export async function findReview(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<FullReview | null> {
  const query = db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('customer', 'customer.id', 'review.customer_id')
    .leftJoin('reply', 'reply.id', 'review.reply_id')
    .leftJoin('decline_reason', 'decline_reason.id', 'review.decline_reason_id')
    .where('review.shop_id', shopId)
    .whereNot('review.state', 'undone')
  if ('id' in which) query.where('review.id', which.id)
  else query.where('review.public_id', which.publicId)
  const row: Row | undefined = await query.first(columns)
  if (!row) return null
  const { replyName: name, replyBody: body, replyPostedAt: postedAt, ...review } = row
  return {
    ...review,
    answers: readAnswers(row.answers),
    showable: row.showable === 1,
    verified: row.verified === 1,
    needsReply: row.needsReply === 1,
    declineReason: row.declineReason ?? '',
    reply: name !== null && body !== null && postedAt !== null ? { name, body, postedAt } : null,
  }
}

/** The content of one version. */
export type VersionWords = Pick<FullReview, 'title' | 'body' | 'authorName' | 'rating' | 'salt' | 'answers'>

export async function versionWords(db: Knex, versionId: number): Promise<VersionWords> {
  const row = await db('review_version')
    .where({ id: versionId })
    .first<Omit<VersionWords, 'answers'> & { answers: string }>({
      title: 'title',
      body: 'body',
      authorName: 'author_name',
      rating: 'rating',
      salt: 'salt',
      answers: 'answers',
    })
  return { ...row, answers: readAnswers(row.answers) }
}

export async function signalsOfVersion(db: Knex, shopId: number, versionId: number): Promise<Signal[]> {
  const signals: (Omit<Signal, 'places'> & { id: number })[] = await db('signal')
    .where({ shop_id: shopId, version_id: versionId })
    .orderBy([{ column: 'points', order: 'desc' }, { column: 'id' }])
    .select('id', 'kind', 'points', 'headline', 'detail')
  const places: (Place & { signalId: number })[] = await db('signal_place')
    .whereIn(
      'signal_id',
      signals.map(({ id }) => id),
    )
    .orderBy('id')
    .select({ signalId: 'signal_id', field: 'field', start: 'start', end: 'end' })
  return signals.map(({ id, ...signal }) => ({
    ...signal,
    places: places
      .filter((place) => place.signalId === id)
      .map(({ field, start, end }) => ({ field, start, end })),
  }))
}

/** The evidence of a verification: an order, or a member's reason. */
export interface ProofKept {
  method: 'mailbox' | 'orderNumber' | 'reviewRequest' | 'manual'
  orderNumber: string | null
  productTitle: string | null
  deliveredAt: string | null
  reason: string
}

/** The valid evidence of a review's verification. */
export async function proofOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<ProofKept | undefined> {
  return db('verification')
    .leftJoin('purchase_line', 'purchase_line.id', 'verification.purchase_line_id')
    .leftJoin('purchase', 'purchase.id', 'purchase_line.purchase_id')
    .leftJoin('product as ordered', 'ordered.id', 'purchase_line.product_id')
    .leftJoin('product', 'product.id', db.raw('ifnull(ordered.merged_into, ordered.id)'))
    .where({ 'verification.shop_id': shopId, 'verification.review_id': reviewId })
    .whereNull('verification.revoked_at')
    .first({
      method: 'verification.method',
      orderNumber: 'purchase.number',
      productTitle: 'product.title',
      deliveredAt: 'purchase_line.delivered_at',
      reason: 'verification.reason',
    })
}

/** The number of earlier reviews of this shop with the same email address. */
export async function earlierOfCustomer(
  db: Knex,
  shopId: number,
  customerId: number,
  beforeReviewId: number,
): Promise<number> {
  return countRows(
    db('review').where({ shop_id: shopId, customer_id: customerId }).where('id', '<', beforeReviewId),
  )
}
