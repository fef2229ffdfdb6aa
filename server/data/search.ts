import type { Knex } from 'knex'
import { z } from 'zod'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { filtered, orderBy, wholeLane } from './laneFilter'
import { tables } from './schema/tables'
import { pick, readAll, readFirst, value, type Selected } from './select'

const columns = {
  ...pick(tables.review, 'id', 'publicId', 'receivedAt'),
  ...pick(tables.reviewVersion, 'authorName', 'title', 'body'),
}
/** Reviews that are looked through for the names of customers. */
const RECENT_OF_NAME = 30

export type FoundReview = Selected<typeof columns> & { state: ReviewState }

/**
 * The latest reviews in any list that have some words.
 * @param words an FTS5 query
 */
export async function latestWith(
  db: Knex,
  shopId: number,
  words: string,
  limit: number,
): Promise<FoundReview[]> {
  const found: FoundReview[] = []
  for (const state of reviewStates) {
    const filter = { ...wholeLane(state), words }
    const query = orderBy(filtered(db, shopId, filter, null).limit(limit), filter)
    const rows = await readAll(
      query.join('review_version', 'review_version.id', 'review.current_version_id'),
      columns,
    )
    found.push(...rows.map((row) => ({ ...row, state })))
  }
  return found.toSorted((a, b) => b.id - a.id).slice(0, limit)
}

/** Customers, who all wrote, whose address begins with some letters. */
export function customersAt(
  db: Knex,
  shopId: number,
  typed: string,
  limit: number,
): Promise<{ id: number; address: string }[]> {
  const key = typed.trim().toLowerCase()
  return readAll(
    db('customer')
      .where({ shop_id: shopId })
      .where('email_key', '>=', key)
      .where('email_key', '<', `${key}\u{10ffff}`)
      .orderBy('email_key')
      .limit(limit),
    pick(tables.customer, 'id', 'address'),
  )
}

/**
 * Customers with an address whose name on a review has some words, those of the latest reviews first.
 * @param words an FTS5 query
 */
export async function customersNamed(
  db: Knex,
  shopId: number,
  words: string,
  limit: number,
): Promise<{ id: number; address: string }[]> {
  const found = await readAll(
    db
      .from(db.raw('customer_text CROSS JOIN review ON review.id = customer_text.rowid'))
      .whereRaw('customer_text MATCH ?', `scope:shop${shopId} AND ({author_name}: (${words}))`)
      .where({ shop_id: shopId })
      .orderBy('customer_text.rowid', 'desc')
      .limit(RECENT_OF_NAME),
    pick(tables.review, 'customerId'),
  )
  const ids = [...new Set(found.flatMap(({ customerId }) => customerId ?? []))].slice(0, limit)
  const rows = await readAll(
    db('customer').where({ shop_id: shopId }).whereIn('id', ids),
    pick(tables.customer, 'id', 'address'),
  )
  return ids.flatMap((id) => rows.find((row) => row.id === id) ?? [])
}

/** The latest review of a customer in any list, and how many there are. */
export async function reviewsOfCustomer(
  db: Knex,
  shopId: number,
  customerId: number,
): Promise<{ publicId: string; authorName: string; count: number } | undefined> {
  const present = () =>
    db('review').where({ 'review.shop_id': shopId, customer_id: customerId }).whereIn('state', reviewStates)
  const latest = await readFirst(
    present()
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .orderBy('review.id', 'desc'),
    { ...pick(tables.review, 'publicId'), ...pick(tables.reviewVersion, 'authorName') },
  )
  if (!latest) return undefined
  const [counted] = await readAll(present(), { count: value(z.number(), db.raw('count(*)')) })
  return { ...latest, count: counted!.count }
}
