import type { Knex } from 'knex'
import { z } from 'zod'
import { tables } from './schema/tables'
import { insert, whereOf } from './rows'
import { pick, readAll, readFirst, value, type Selected } from './select'
import { all } from './table'

const columns = all(tables.intake)
/** What one file, page or check of a listing brought in. */
export type Intake = Selected<typeof columns>

type IntakeCounts = Pick<Intake, 'stored' | 'known' | 'changed' | 'withdrawn'>

export async function insertIntake(
  trx: Knex,
  intake: Pick<Intake, 'shopId' | 'publicId' | 'source' | 'origin' | 'memberId' | 'createdAt'> &
    Partial<Pick<Intake, 'listingId'>>,
): Promise<Intake> {
  const id = await insert(trx, tables.intake, intake)
  return { listingId: null, ...intake, id, stored: 0, known: 0, changed: 0, withdrawn: 0, undone: false }
}

export async function findIntake(
  db: Knex,
  shopId: number,
  by: string | { id: number },
): Promise<Intake | null> {
  const which = typeof by === 'string' ? { publicId: by } : by
  const found = await readFirst(db('intake').where(whereOf(tables.intake, { shopId, ...which })), columns)
  return found ?? null
}

/** Adds to its counts, in the transaction of the reviews. */
export async function countIntake(
  trx: Knex.Transaction,
  id: number,
  counts: Partial<IntakeCounts>,
): Promise<void> {
  const by = Object.entries(counts).filter(([, count]) => count > 0)
  if (by.length === 0) return
  await trx('intake')
    .where({ id })
    .update(Object.fromEntries(by.map(([column, count]) => [column, trx.raw('?? + ?', [column, count])])))
}

export async function setIntakeUndone(trx: Knex.Transaction, id: number, undone: boolean): Promise<void> {
  await trx('intake').where({ id }).update({ undone })
}

/** How many reviews of each listing have been stored since a time, by its public id; those without any are missing. */
export async function storedOfListings(
  db: Knex,
  shopId: number,
  since: string,
): Promise<Map<string, number>> {
  const rows = await readAll(
    db('listing')
      .join('intake', 'intake.listing_id', 'listing.id')
      .where(whereOf(tables.listing, { shopId }))
      .where(whereOf(tables.intake, { undone: false }))
      .where('intake.created_at', '>=', since)
      .groupBy('listing.id'),
    { listing: tables.listing.publicId, stored: value(z.number(), db.raw('sum(stored)')) },
  )
  return new Map(rows.map(({ listing, stored }) => [listing, stored]))
}

/** What a check of a listing brought. */
export type ListingIntake = Selected<typeof listingIntake>
const listingIntake = {
  ...pick(tables.intake, 'publicId', 'origin', 'stored', 'changed', 'createdAt'),
  listing: tables.listing.publicId,
  name: tables.listing.name,
}

export async function latestOfListings(db: Knex, shopId: number, limit: number): Promise<ListingIntake[]> {
  return readAll(
    db('intake')
      .join('listing', 'listing.id', 'intake.listing_id')
      .where(whereOf(tables.intake, { shopId, undone: false }))
      .whereRaw('stored + changed > 0')
      .orderBy('intake.id', 'desc')
      .limit(limit),
    listingIntake,
  )
}
