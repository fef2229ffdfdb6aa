import type { Knex } from 'knex'
import { isOfSite } from '../../core/intake/sourcePolicy'
import type { Signal } from '../../core/moderation/signal'
import { countRows } from './countRows'
import { presentState } from './presentState'
import { tables } from './schema/tables'
import { whereOf } from './rows'
import { maybe, orEmpty, pick, readAll, readFirst, readOne, type Selected } from './select'
import { writerTextNames } from '../../core/intake/writerTexts'

const columns = {
  ...pick(tables.review, 'id', 'publicId', 'revision', 'rating', 'showable', 'verified', 'proofFailure'),
  ...pick(tables.review, 'claimedOrder', 'score', 'receivedAt', 'publishedVersionId', 'publishedAt'),
  ...pick(tables.review, 'confirmedAt', 'customerLanguage', 'customerId', 'groupId', 'productId', 'source'),
  ...pick(tables.review, 'note', 'replyDraft', 'needsReply'),
  ...pick(tables.reviewVersion, ...writerTextNames, 'seenUrl', 'portrait'),
  ...pick(tables.reviewVersion, 'title', 'body', 'authorName', 'language', 'salt', 'answers'),
  state: presentState,
  versionId: tables.reviewVersion.id,
  productTitle: maybe(tables.product.title),
  productSku: maybe(tables.product.sku),
  productPicture: tables.product.picture,
  authorEmail: maybe(tables.customer.address),
  replyName: maybe(tables.reply.name),
  replyBody: maybe(tables.reply.body),
  replyPostedAt: maybe(tables.reply.postedAt),
}

/** Everything the owner can read of a review, with its latest version. */
export interface FullReview extends Omit<
  Selected<typeof columns>,
  'replyName' | 'replyBody' | 'replyPostedAt'
> {
  reply: { name: string; body: string; postedAt: string } | null
  declineReason: string
}

/** Finds a review of this shop by its integer or public id, unless its intake was undone. */
export async function findReview(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<FullReview | null> {
  const found = await readFirst(
    db('review')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .leftJoin('product', 'product.id', 'review.product_id')
      .leftJoin('customer', 'customer.id', 'review.customer_id')
      .leftJoin('reply', 'reply.id', 'review.reply_id')
      .leftJoin('decline_reason', 'decline_reason.id', 'review.decline_reason_id')
      .where(whereOf(tables.review, { shopId, ...which }))
      .whereNot('review.state', 'undone'),
    { ...columns, declineReason: orEmpty(db, tables.declineReason.reason) },
  )
  if (!found) return null
  const { replyName: name, replyBody: body, replyPostedAt: postedAt, ...review } = found
  return {
    ...review,
    needsReply: review.needsReply && !isOfSite(review.source),
    reply: name !== null && body !== null && postedAt !== null ? { name, body, postedAt } : null,
  }
}

/** The content of one version. */
export type VersionWords = Pick<FullReview, 'title' | 'body' | 'authorName' | 'rating' | 'salt' | 'answers'>

export async function versionWords(db: Knex, versionId: number): Promise<VersionWords> {
  return readOne(
    db('review_version').where({ id: versionId }),
    pick(tables.reviewVersion, 'title', 'body', 'authorName', 'rating', 'salt', 'answers'),
  )
}

export async function signalsOfVersion(db: Knex, shopId: number, versionId: number): Promise<Signal[]> {
  const signals = await readAll(
    db('signal')
      .where(whereOf(tables.signal, { shopId, versionId }))
      .orderBy([{ column: 'points', order: 'desc' }, { column: 'id' }]),
    pick(tables.signal, 'id', 'kind', 'points', 'headline', 'detail'),
  )
  const ids = signals.map(({ id }) => id)
  const places = await readAll(
    db('signal_place').whereIn('signal_id', ids).orderBy('id'),
    pick(tables.signalPlace, 'signalId', 'field', 'start', 'end'),
  )
  return signals.map(({ id, ...signal }) => ({
    ...signal,
    places: places
      .filter((place) => place.signalId === id)
      .map(({ field, start, end }) => ({ field, start, end })),
  }))
}

/** The evidence of a verification: an order, or a member's reason. */
export type ProofKept = Selected<typeof proofKept>
const proofKept = {
  ...pick(tables.verification, 'method', 'reason'),
  orderNumber: maybe(tables.purchase.number),
  productTitle: maybe(tables.product.title),
  deliveredAt: tables.purchaseLine.deliveredAt,
}

/** The valid evidence of a review's verification. */
export async function proofOfReview(
  db: Knex,
  shopId: number,
  reviewId: number,
): Promise<ProofKept | undefined> {
  const query = db('verification')
    .leftJoin('purchase_line', 'purchase_line.id', 'verification.purchase_line_id')
    .leftJoin('purchase', 'purchase.id', 'purchase_line.purchase_id')
    .leftJoin('product as ordered', 'ordered.id', 'purchase_line.product_id')
    .leftJoin('product', 'product.id', db.raw('ifnull(ordered.merged_into, ordered.id)'))
    .where(whereOf(tables.verification, { shopId, reviewId, revokedAt: null }))
  return readFirst(query, proofKept)
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
