import { matchingSchema } from '../../core/listing/matching'
import { z } from 'zod'
import { keysOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import type { RefusalCode } from '../../core/listing/originRefusal'
import { sheetProblemsSchema, type SheetProblems } from '../../core/listing/sheetSample'
import type { SheetMatching } from '../../core/listing/matching'

const foundSchema = z.object({ stored: z.number(), changed: z.number(), withdrawn: z.number() })

/** The shop's page, or a single post about it, on another site. It is checked again and again. */
export interface Listing {
  id: number
  shopId: number
  publicId: string
  /** The site. */
  origin: string
  kind: 'listing' | 'post'
  /** Its id there. */
  externalId: string
  name: string
  /** Empty for a business without one. */
  street: string
  url: string
  writeUrl: string | null
  /** A file of the shop. */
  picture: string | null
  /** As the site states them. */
  average: number | null
  scale: number | null
  count: number | null
  /** Only reviews in these; empty for all. */
  languages: string[]
  productId: number | null
  /** For all its reviews; empty for none. */
  tag: string
  arrivesAs: 'waiting' | 'approved'
  /** Encrypted. */
  accessKey: string | null
  /** How the columns of a sheet are used; null for anything else. */
  matching: SheetMatching | null
  state: 'active' | 'stopped' | 'disconnected'
  /** Why the latest check failed; null after a good one. */
  refusal: RefusalCode | null
  refusedAt: string | null
  /** Failed checks in a row. */
  failures: number
  nextCheckAt: string | null
  checkedAt: string | null
  /** When a check last found something new. */
  changedAt: string | null
  /** What the latest successful check found. */
  found: z.infer<typeof foundSchema> | null
  /** Complete reads so far. */
  reads: number
  readAt: string | null
  /** Where the read in progress continues; null at its start, or if none is in progress. */
  cursor: string | null
  /** Reviews of the read in progress; null if none is. */
  readSoFar: number | null
  /** Cells of the sheet that could not be read; null for anything else. */
  problems: SheetProblems | null
  /** Of what a page said at the latest check, and how many checks in a row it has said so. */
  digest: string | null
  digestReads: number
  /** Of the read in progress. */
  intakeId: number | null
  /** Whether the owner has said that missing reviews are really gone. */
  acceptsFewer: boolean
  /** When its reviews were removed with it. */
  removedAt: string | null
  disconnectedAt: string | null
  createdAt: string
  /** Whether visitors get a link to it. */
  isLinked: boolean
}

const columns = {
  id: 'id',
  shopId: 'shop_id',
  publicId: 'public_id',
  origin: 'origin',
  kind: 'kind',
  externalId: 'external_id',
  name: 'name',
  street: 'street',
  url: 'url',
  writeUrl: 'write_url',
  picture: 'picture',
  average: 'average',
  scale: 'scale',
  count: 'count',
  languages: 'languages',
  productId: 'product_id',
  tag: 'tag',
  arrivesAs: 'arrives_as',
  accessKey: 'access_key',
  matching: 'matching',
  problems: 'problems',
  digest: 'digest',
  digestReads: 'digest_reads',
  state: 'state',
  refusal: 'refusal',
  refusedAt: 'refused_at',
  failures: 'failures',
  nextCheckAt: 'next_check_at',
  checkedAt: 'checked_at',
  changedAt: 'changed_at',
  found: 'found',
  reads: 'reads',
  readAt: 'read_at',
  cursor: 'cursor',
  readSoFar: 'read_so_far',
  intakeId: 'intake_id',
  acceptsFewer: 'accepts_fewer',
  removedAt: 'removed_at',
  disconnectedAt: 'disconnected_at',
  createdAt: 'created_at',
  isLinked: 'is_linked',
} satisfies Record<keyof Listing, string>

type Row = Omit<Listing, 'languages' | 'found' | 'acceptsFewer' | 'matching' | 'problems' | 'isLinked'> & {
  isLinked: 0 | 1
  problems: string | null
  languages: string
  matching: string | null
  found: string | null
  acceptsFewer: 0 | 1
}

const read = ({ languages, found, acceptsFewer, matching, problems, isLinked, ...row }: Row): Listing => ({
  ...row,
  isLinked: isLinked === 1,
  acceptsFewer: acceptsFewer === 1,
  problems: problems === null ? null : sheetProblemsSchema.parse(JSON.parse(problems)),
  matching: matching === null ? null : matchingSchema.parse(JSON.parse(matching)),
  languages: z.array(z.string()).parse(JSON.parse(languages)),
  found: found === null ? null : foundSchema.parse(JSON.parse(found)),
})

const rowOf = (listing: Partial<Listing>) =>
  Object.fromEntries(
    keysOf(listing).map((name) => {
      const value = listing[name]
      return [columns[name], value !== null && typeof value === 'object' ? JSON.stringify(value) : value]
    }),
  )

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
  const [id] = await trx('listing').insert(rowOf({ ...listing, state: 'active' }))
  return id!
}

export async function updateListing(
  db: Knex,
  shopId: number,
  id: number,
  changes: Partial<Omit<Listing, 'id' | 'shopId'>>,
): Promise<void> {
  await db('listing').where({ shop_id: shopId, id }).update(rowOf(changes))
}

export async function findListing(
  db: Knex,
  shopId: number,
  by: { id: number } | { publicId: string } | { origin: string; externalId: string },
): Promise<Listing | null> {
  const query = db('listing').where({ shop_id: shopId, ...rowOf(by) })
  // Disconnected ones can be there several times.
  if ('origin' in by) query.whereNot({ state: 'disconnected' })
  const row = await query.first<Row | undefined>(columns)
  return row ? read(row) : null
}

/** Connected ones, oldest first, or all. */
export async function listingsOfShop(db: Knex, shopId: number, all = false): Promise<Listing[]> {
  const query = db('listing').where({ shop_id: shopId }).orderBy('id')
  if (!all) query.whereNot({ state: 'disconnected' })
  const rows: Row[] = await query.select(columns)
  return rows.map(read)
}

/** Public ids of the intakes of a listing that are or are not undone. */
export async function intakesOfListing(
  db: Knex,
  shopId: number,
  listingId: number,
  undone: boolean,
): Promise<string[]> {
  return db('intake')
    .where({ listing_id: listingId })
    .whereRaw('+shop_id = ?', shopId)
    .where({ undone })
    .orderBy('id')
    .pluck('public_id')
}

/** The latest access key for a site, encrypted; null if there is none. */
export async function accessKeyOf(db: Knex, shopId: number, origin: string): Promise<string | null> {
  const row = await db('listing')
    .where({ shop_id: shopId, origin })
    .whereNot({ state: 'disconnected' })
    .whereNotNull('access_key')
    .orderBy('id', 'desc')
    .first<{ access_key: string } | undefined>('access_key')
  return row?.access_key ?? null
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
