import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { pick, readAll, readFirst, type Selected } from './select'
import { all } from './table'

const columns = all(tables.listing)
/** The shop's page, or a single post about it, on another site. It is checked again and again. */
export type Listing = Selected<typeof columns>

type NewListing = Pick<
  Listing,
  | 'shopId'
  | 'publicId'
  | 'origin'
  | 'kind'
  | 'externalId'
  | 'name'
  | 'street'
  | 'url'
  | 'writeUrl'
  | 'picture'
  | 'average'
  | 'scale'
  | 'count'
  | 'languages'
  | 'productId'
  | 'tag'
  | 'arrivesAs'
  | 'accessKey'
  | 'matching'
  | 'createdAt'
  | 'isLinked'
>

export async function insertListing(trx: Knex.Transaction, listing: NewListing): Promise<number> {
  return insert(trx, tables.listing, { ...listing, state: 'active' })
}

export async function updateListing(
  db: Knex,
  shopId: number,
  id: number,
  changes: Partial<Omit<Listing, 'id' | 'shopId'>>,
): Promise<void> {
  await db('listing').where({ shop_id: shopId, id }).update(row(tables.listing, changes))
}

export async function findListing(
  db: Knex,
  shopId: number,
  by: { id: number } | { publicId: string } | { origin: string; externalId: string },
): Promise<Listing | null> {
  const query = db('listing').where(whereOf(tables.listing, { shopId, ...by }))
  // Disconnected ones can be there several times.
  if ('origin' in by) query.whereNot({ state: 'disconnected' })
  return (await readFirst(query, columns)) ?? null
}

/** Connected ones, oldest first, or all. */
export async function listingsOfShop(db: Knex, shopId: number, all = false): Promise<Listing[]> {
  const query = db('listing').where({ shop_id: shopId }).orderBy('id')
  if (!all) query.whereNot({ state: 'disconnected' })
  return readAll(query, columns)
}

/** The names of the connected listings of a shop, and their sites. */
export const namesOfListings = (
  db: Knex,
  shopId: number,
): Promise<{ key: string; name: string; site: string }[]> =>
  readAll(db('listing').where({ shop_id: shopId }).whereNot({ state: 'disconnected' }).orderBy('id'), {
    key: tables.listing.publicId,
    name: tables.listing.name,
    site: tables.listing.origin,
  })

/** Public ids of the intakes of a listing that are or are not undone. */
export async function intakesOfListing(
  db: Knex,
  shopId: number,
  listingId: number,
  undone: boolean,
): Promise<string[]> {
  return db('intake')
    .where(whereOf(tables.intake, { listingId, undone }))
    .whereRaw('+shop_id = ?', shopId)
    .orderBy('id')
    .pluck('public_id')
}

/** The latest access key for a site, encrypted; null if there is none. */
export async function accessKeyOf(db: Knex, shopId: number, origin: string): Promise<string | null> {
  const latest = await readFirst(
    db('listing')
      .where({ shop_id: shopId, origin })
      .whereNot({ state: 'disconnected' })
      .whereNotNull('access_key')
      .orderBy('id', 'desc'),
    pick(tables.listing, 'accessKey'),
  )
  return latest?.accessKey ?? null
}

/** Removes the portraits of the reviews that were removed with their listings before a time. Returns how many. */
export async function forgetRemovedPortraits(db: Knex, before: string): Promise<number> {
  const listings: number[] = await db('listing').where('removed_at', '<', before).pluck('id')
  let gone = 0
  for (const id of listings) {
    const reviews = db('listing_review').where({ listing_id: id }).select('review_id')
    gone += await db('review_version')
      .whereIn('review_id', reviews)
      .whereNotNull('portrait')
      .whereRaw(
        "EXISTS (SELECT 1 FROM review WHERE review.id = review_version.review_id AND state = 'undone')",
      )
      .update({ portrait: null })
  }
  return gone
}
