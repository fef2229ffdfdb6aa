import { z } from 'zod'
import { photoSchema } from '../../core/intake/candidate'
import type { Knex } from 'knex'
import { readAnswers } from './versionRow'
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

type Row = Omit<
  ShowableReview,
  'reply' | 'tags' | 'photos' | 'verified' | 'hasText' | 'posted' | 'answers'
> & {
  answers: string
  tags: string
  photos: string
  verified: 0 | 1
  origin: string | null
  likes: number | null
  claimsVerified: 0 | 1 | null
  replyName: string | null
  replyBody: string | null
}

const texts = z.array(z.string())
const pictures = z.array(photoSchema)

/** Reviews that can be shown: approved, with consent. In no order; others are missing. */
export async function showableReviews(db: Knex, shopId: number, ids: number[]): Promise<ShowableReview[]> {
  const rows: Row[] = await db('review')
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
    .select({
      id: 'review.id',
      publicId: 'review.public_id',
      // A review that the shop added belongs to the writer once she has confirmed it.
      source: db.raw("CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END"),
      rating: 'review_version.rating',
      writtenAt: 'review_version.written_at',
      writtenPrecision: 'review_version.written_precision',
      title: 'review_version.title',
      body: 'review_version.body',
      authorName: 'review_version.author_name',
      answers: 'review_version.answers',
      language: 'review_version.language',
      productSku: 'product.sku',
      productTitle: 'product.title',
      tags: db.raw(TAGS),
      photos: db.raw(PHOTOS),
      verified: 'review.verified',
      boughtAt: db.raw(LATEST_PROOF),
      boughtBy: db.raw(STANDING_PROOF),
      role: 'review_version.author_role',
      company: 'review_version.company',
      companyUrl: 'review_version.company_url',
      relationship: 'review_version.relationship',
      portrait: 'review_version.portrait',
      companyLogo: 'review_version.company_logo',
      seenUrl: db.raw("CASE WHEN review_version.seen_public = 1 THEN review_version.seen_url ELSE '' END"),
      listing: 'listing.public_id',
      form: 'form.public_id',
      origin: 'listing.origin',
      likes: 'listing_review.likes',
      claimsVerified: 'listing_review.claims_verified',
      replyName: 'reply.name',
      replyBody: 'reply.body',
    })
  return rows.map(
    ({ replyName, replyBody, tags, photos, answers, verified, origin, likes, claimsVerified, ...row }) => ({
      ...row,
      posted: origin === null ? null : { origin, likes, claimsVerified: claimsVerified === 1 },
      // Those given to the shop alone never go out.
      answers: readAnswers(answers).filter((answer) => !answer.private),
      tags: texts.parse(JSON.parse(tags)),
      photos: pictures.parse(JSON.parse(photos)),
      verified: verified === 1,
      hasText: row.title.trim() + row.body.trim() !== '',
      hasPhoto: photos !== '[]',
      reply: replyName !== null && replyBody !== null ? { name: replyName, body: replyBody } : null,
    }),
  )
}
