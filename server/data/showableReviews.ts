import { z } from 'zod'
import { photoSchema } from '../../core/intake/candidate'
import type { Knex } from 'knex'
import { aboutColumns } from './versionRow'
import { tables } from './schema/tables'
import { fromJson, like, maybe, pick, readAll, value } from './select'
import type { ShowableReview } from '../../core/display/showableReview'

const LATEST_PROOF = `(
  SELECT max(purchase.placed_at) FROM verification
  JOIN purchase_line ON purchase_line.id = verification.purchase_line_id
  JOIN purchase ON purchase.id = purchase_line.purchase_id
  WHERE verification.review_id = review.id AND verification.revoked_at IS NULL
)`
const STANDING_PROOF = `(
  SELECT method FROM verification
  WHERE verification.review_id = review.id AND verification.revoked_at IS NULL ORDER BY id DESC
)`
const TAGS = `(
  SELECT json_group_array(tag.name) FROM review_tag JOIN tag ON tag.id = review_tag.tag_id
  WHERE review_tag.review_id = review.id
)`

const PHOTOS = `(
  SELECT json_group_array(json_object(
    'name', name, 'small', small, 'width', width, 'height', height, 'alt', alt,
    'video', video, 'seconds', seconds) ORDER BY position)
  FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
  WHERE version_photo.version_id = review.published_version_id AND photo.declined = 0
)`

const texts = z.array(z.string())
const pictures = z.array(photoSchema)

const { seenUrl: _seenUrl, seenPublic: _seenPublic, ...aboutWriter } = aboutColumns

const showable = (db: Knex) => ({
  ...pick(tables.review, 'id', 'publicId', 'verified'),
  ...pick(tables.reviewVersion, 'rating', 'writtenAt', 'writtenPrecision', 'title', 'body', 'authorName'),
  ...pick(tables.reviewVersion, 'answers', 'language'),
  ...aboutWriter,
  // A review that the shop added belongs to the writer once she has confirmed it.
  source: like(
    tables.review.source,
    db.raw("CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END"),
  ),
  productSku: maybe(tables.product.sku),
  productTitle: maybe(tables.product.title),
  tags: fromJson(texts, db.raw(TAGS)),
  photos: fromJson(pictures, db.raw(PHOTOS)),
  boughtAt: value(z.string().nullable(), db.raw(LATEST_PROOF)),
  boughtBy: like(maybe(tables.verification.method), db.raw(STANDING_PROOF)),
  seenUrl: like(
    tables.reviewVersion.seenUrl,
    db.raw("CASE WHEN review_version.seen_public = 1 THEN review_version.seen_url ELSE '' END"),
  ),
  listing: maybe(tables.listing.publicId),
  form: maybe(tables.form.publicId),
  origin: maybe(tables.listing.origin),
  likes: tables.listingReview.likes,
  claimsVerified: maybe(tables.listingReview.claimsVerified),
  replyName: maybe(tables.reply.name),
  replyBody: maybe(tables.reply.body),
})

/** Reviews that can be shown: approved, with consent. In no order; others are missing. */
export async function showableReviews(db: Knex, shopId: number, ids: number[]): Promise<ShowableReview[]> {
  const query = db('review')
    .join('review_version', 'review_version.id', 'review.published_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .leftJoin('reply', 'reply.id', 'review.reply_id')
    .leftJoin('listing', 'listing.id', 'review.listing_id')
    .leftJoin('form', 'form.id', 'review.form_id')
    .leftJoin('listing_review', 'listing_review.review_id', 'review.id')
    // A changed version can wait while the one before it stays public.
    .where({ 'review.showable': 1 })
    .whereNotNull('review.published_version_id')
    .whereIn('review.id', ids)
    // The plus keeps SQLite from reading all reviews of the shop.
    .whereRaw('+review.shop_id = ?', shopId)
  const rows = await readAll(query, showable(db))
  return rows.map(({ replyName, replyBody, answers, origin, likes, claimsVerified, ...row }) => ({
    ...row,
    posted: origin === null ? null : { origin, likes, claimsVerified: claimsVerified === true },
    // Those given to the shop alone never go out.
    answers: answers.filter((answer) => !answer.private),
    hasText: row.title.trim() + row.body.trim() !== '',
    hasPhoto: row.photos.length > 0,
    reply: replyName !== null && replyBody !== null ? { name: replyName, body: replyBody } : null,
  }))
}
