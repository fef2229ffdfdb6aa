import type { Knex } from 'knex'
import { z } from 'zod'
import type { Posted } from '../../core/intake/candidate'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { insertAll, whereOf } from './rows'
import { maybe, pick, readAll, readFirst, readOne, value, type Selected } from './select'

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
  const rows = await readAll(
    trx('review')
      .where({ shop_id: shopId, origin })
      .whereIn('external_key', [...byKey.keys()]),
    {
      ...pick(tables.review, 'id', 'listingId'),
      key: value(z.string(), tables.review.externalKey.of),
    },
  )
  if (rows.length === 0) return []
  await trx('listing_review')
    .whereIn(
      'review_id',
      rows.map(({ id }) => id),
    ) // oxfmt-ignore
    .delete()
  await insertAll(
    trx,
    tables.listingReview,
    rows.map(({ id, key }) => {
      const { listingId, likes, claimsVerified } = byKey.get(key)!
      return { reviewId: id, shopId, listingId, seenRead: read, likes, claimsVerified }
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
  return countRows(db('listing_review').where(whereOf(tables.listingReview, { listingId, seenRead: read })))
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
  const { oldest } = await readOne(
    db('listing_review')
      .join('review', 'review.id', 'listing_review.review_id')
      .where(whereOf(tables.listingReview, { listingId, seenRead: read })),
    { oldest: value(z.string(), db.raw("ifnull(min(review.written_at), '')")) },
  )
  return oldest
}

/** Reviews of a listing that are neither withdrawn nor undone. */
export async function countPresent(db: Knex, shopId: number, listingId: number): Promise<number> {
  return countRows(
    db('listing_review')
      .join('review', 'review.id', 'listing_review.review_id')
      .where(whereOf(tables.listingReview, { listingId }))
      .whereRaw('+review.shop_id = ?', shopId)
      .whereRaw('+review.state NOT IN (?, ?)', ['withdrawn', 'undone']),
  )
}

/** Where a review was posted, and what the site says of it. */
export interface PostedReview extends Omit<Selected<typeof posted>, 'claimsVerified'> {
  claimsVerified: boolean
}
const posted = {
  origin: tables.listing.origin,
  listing: tables.listing.publicId,
  listingName: tables.listing.name,
  likes: tables.listingReview.likes,
  claimsVerified: maybe(tables.listingReview.claimsVerified),
  ...pick(tables.reviewVersion, 'ratingScale', 'ratingValue'),
}

/** Null for reviews that came to the shop itself. */
export async function postedReview(db: Knex, shopId: number, reviewId: number): Promise<PostedReview | null> {
  const query = db('review')
    .join('listing', 'listing.id', 'review.listing_id')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('listing_review', 'listing_review.review_id', 'review.id')
    .where({ 'review.id': reviewId })
    .whereRaw('+review.shop_id = ?', shopId)
  const found = await readFirst(query, posted)
  return found ? { ...found, claimsVerified: found.claimsVerified === true } : null
}
