import type { Knex } from 'knex'
import type { Posted } from '../../core/intake/candidate'
import { insertRows } from './insertRows'

/** What the latest read saw of a review on another site. */
interface SeenReview extends Posted {
  key: string
}

/**
 * Notes that a read has seen some reviews. Keys that are not stored are skipped. A review that stands on
 * another listing of the shop now has moved there.
 * @returns the ids of moved reviews
 */
export async function noteSeen(
  trx: Knex.Transaction,
  shopId: number,
  origin: string,
  read: number,
  seen: SeenReview[],
): Promise<number[]> {
  if (seen.length === 0) return []
  const byKey = new Map(seen.map((one) => [one.key, one]))
  const rows: { id: number; key: string; listingId: number | null }[] = await trx('review')
    .where({ shop_id: shopId, origin })
    .whereIn('external_key', [...byKey.keys()])
    .select({ id: 'id', key: 'external_key', listingId: 'listing_id' })
  if (rows.length === 0) return []
  await trx('listing_review')
    .whereIn(
      'review_id',
      rows.map(({ id }) => id),
    ) // oxfmt-ignore
    .delete()
  await insertRows(
    trx,
    'listing_review',
    rows.map(({ id, key }) => {
      const { listingId, likes, claimsVerified } = byKey.get(key)!
      return {
        review_id: id,
        shop_id: shopId,
        listing_id: listingId,
        seen_read: read,
        likes,
        claims_verified: claimsVerified,
      }
    }),
  )
  const moved = rows.filter(({ key, listingId }) => listingId !== byKey.get(key)!.listingId)
  for (const { id, key } of moved)
    await trx('review')
      .where({ shop_id: shopId, id })
      .update({ listing_id: byKey.get(key)!.listingId })
  return moved.map(({ id }) => id)
}

/** How many reviews a read has seen so far. */
export async function countSeen(db: Knex, listingId: number, read: number): Promise<number> {
  const row = await db('listing_review')
    .where({ listing_id: listingId, seen_read: read })
    .count<{ count: number }>({ count: '*' })
    .first()
  return row?.count ?? 0
}

/**
 * Reviews of a listing that the latest two reads have not seen, written after a time. Withdrawn and undone
 * ones are left out.
 */
export async function reviewsMissing(
  db: Knex,
  shopId: number,
  listingId: number,
  { seenBefore, writtenAfter }: { seenBefore: number; writtenAfter: string },
): Promise<number[]> {
  return db('listing_review')
    .join('review', 'review.id', 'listing_review.review_id')
    .where({ 'listing_review.listing_id': listingId })
    .where('seen_read', '<', seenBefore)
    .whereRaw('+review.shop_id = ?', shopId)
    .whereRaw('+review.state NOT IN (?, ?)', ['withdrawn', 'undone'])
    .whereRaw('+review.written_at > ?', writtenAfter)
    .pluck('review.id')
}

/** The time of the oldest review that a read has seen; empty for none. */
export async function oldestSeen(db: Knex, listingId: number, read: number): Promise<string> {
  const row = await db('listing_review')
    .join('review', 'review.id', 'listing_review.review_id')
    .where({ 'listing_review.listing_id': listingId, seen_read: read })
    .min<{ oldest: string | null }>({ oldest: 'review.written_at' })
    .first()
  return row?.oldest ?? ''
}

/** Reviews of a listing that are neither withdrawn nor undone. */
export async function countPresent(db: Knex, shopId: number, listingId: number): Promise<number> {
  const row = await db('listing_review')
    .join('review', 'review.id', 'listing_review.review_id')
    .where({ 'listing_review.listing_id': listingId })
    .whereRaw('+review.shop_id = ?', shopId)
    .whereRaw('+review.state NOT IN (?, ?)', ['withdrawn', 'undone'])
    .count<{ count: number }>({ count: '*' })
    .first()
  return row?.count ?? 0
}

/** Where a review was posted, and what the site says of it. */
export interface PostedReview extends Omit<Posted, 'listingId'> {
  origin: string
  /** The public id of its listing. */
  listing: string
  listingName: string
  ratingScale: number | null
  ratingValue: number | null
}

/** Null for reviews that came to the shop itself. */
export async function postedReview(db: Knex, shopId: number, reviewId: number): Promise<PostedReview | null> {
  const row = await db('review')
    .join('listing', 'listing.id', 'review.listing_id')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('listing_review', 'listing_review.review_id', 'review.id')
    .where({ 'review.id': reviewId })
    .whereRaw('+review.shop_id = ?', shopId)
    .first<(Omit<PostedReview, 'claimsVerified'> & { claimsVerified: 0 | 1 | null }) | undefined>({
      origin: 'listing.origin',
      listing: 'listing.public_id',
      listingName: 'listing.name',
      likes: 'listing_review.likes',
      claimsVerified: 'listing_review.claims_verified',
      ratingScale: 'review_version.rating_scale',
      ratingValue: 'review_version.rating_value',
    })
  return row ? { ...row, claimsVerified: row.claimsVerified === 1 } : null
}
