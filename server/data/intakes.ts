import type { Knex } from 'knex'
import type { Source } from '../../core/intake/sourcePolicy'

/** What one file, page or check of a listing brought in. */
export interface Intake extends IntakeCounts {
  id: number
  shopId: number
  publicId: string
  source: Source
  /** The file or site; empty if there is none. */
  origin: string
  memberId: number | null
  /** Null for other sources. */
  listingId: number | null
  createdAt: string
  undone: boolean
}

interface IntakeCounts {
  stored: number
  /** Already stored, and unchanged. */
  known: number
  changed: number
  /** Gone from their origin. */
  withdrawn: number
}

const columns = {
  id: 'id',
  shopId: 'shop_id',
  publicId: 'public_id',
  source: 'source',
  origin: 'origin',
  memberId: 'member_id',
  listingId: 'listing_id',
  stored: 'stored',
  known: 'known',
  changed: 'changed',
  withdrawn: 'withdrawn',
  createdAt: 'created_at',
  undone: 'undone',
}

export async function insertIntake(
  trx: Knex,
  intake: Pick<Intake, 'shopId' | 'publicId' | 'source' | 'origin' | 'memberId' | 'createdAt'> &
    Partial<Pick<Intake, 'listingId'>>,
): Promise<Intake> {
  const [id] = await trx('intake').insert({
    shop_id: intake.shopId,
    public_id: intake.publicId,
    source: intake.source,
    origin: intake.origin,
    member_id: intake.memberId,
    listing_id: intake.listingId ?? null,
    created_at: intake.createdAt,
  })
  return { listingId: null, ...intake, id: id!, stored: 0, known: 0, changed: 0, withdrawn: 0, undone: false }
}

export async function findIntake(
  db: Knex,
  shopId: number,
  by: string | { id: number },
): Promise<Intake | null> {
  const row = await db('intake')
    .where({ shop_id: shopId, ...(typeof by === 'string' ? { public_id: by } : by) })
    .first<(Omit<Intake, 'undone'> & { undone: 0 | 1 }) | undefined>(columns)
  return row ? { ...row, undone: row.undone === 1 } : null
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
  const rows: { listing: string; stored: number | null }[] = await db('listing')
    .join('intake', 'intake.listing_id', 'listing.id')
    .where({ 'listing.shop_id': shopId, undone: false })
    .where('intake.created_at', '>=', since)
    .groupBy('listing.id')
    .select({ listing: 'listing.public_id' })
    .sum({ stored: 'stored' })
  return new Map(rows.map(({ listing, stored }) => [listing, stored ?? 0]))
}

/** What a check of a listing brought. */
export interface ListingIntake {
  publicId: string
  listing: string
  origin: string
  name: string
  stored: number
  changed: number
  createdAt: string
}

export async function latestOfListings(db: Knex, shopId: number, limit: number): Promise<ListingIntake[]> {
  return db('intake')
    .join('listing', 'listing.id', 'intake.listing_id')
    .where({ 'intake.shop_id': shopId, undone: false })
    .whereRaw('stored + changed > 0')
    .orderBy('intake.id', 'desc')
    .limit(limit)
    .select({
      publicId: 'intake.public_id',
      listing: 'listing.public_id',
      origin: 'intake.origin',
      name: 'listing.name',
      stored: 'stored',
      changed: 'changed',
      createdAt: 'intake.created_at',
    })
}
