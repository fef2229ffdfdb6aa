import { createHash } from 'node:crypto'
import { languageOf } from '../../core/intake/language'
import type { OriginAdapter, OriginReview, ReviewPage } from '../../core/listing/originAdapter'
import { OriginRefusal } from '../../core/listing/originRefusal'
import type { SheetProblems } from '../../core/listing/sheetSample'
import { PAGE } from '../../core/listing/sheet/page'
import { isChanged } from '../collection/changeKnown'
import { storedIdentity } from '../collection/identity'
import { knownReviews } from '../data/knownReviews'
import { noteSeen } from '../data/listingReviews'
import { findListing, updateListing, type Listing } from '../data/listings'
import { findProduct } from '../data/products'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { JobControl } from '../jobs/job'
import { markReviewStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { askOrigin } from './askOrigin'
import { candidateOf } from './candidateOf'
import { copyPortraits } from './copyPortraits'
import { listingIntake } from './listingIntake'

/** A site that has a next page for ever ends here. */
const MAX_PAGES = 2000
const RECEIVED_AT_ONCE = 100
/** The same content counts so many times: once to find what is missing, once to withdraw it. */
const SETTLED_READS = 2

/** Its owner has stopped or disconnected the listing. */
export class ReadStopped extends Error {}

export interface Reading {
  adapter: OriginAdapter
  listing: Listing
  accessKey: string
  /** Reads every page; otherwise only as far as there is news. */
  isComplete: boolean
}

export interface ReadOutcome {
  /** As the site states it; null if it doesn't. */
  stated: number | null
  /** Different reviews that were read, of any language. */
  distinct: number
  /** Whether this run has read all pages itself. */
  fromStart: boolean
  /** Of the content of a sheet or page; null for sites. */
  digest: string | null
  /** What a page at any address states with its reviews; null for sites. */
  numbers: ReviewPage['numbers'] | null
  /** Cells of a sheet that could not be read; null for anything else. */
  problems: SheetProblems | null
}

/**
 * Reads the reviews of a listing from the newest on, and receives what is new or changed. After each page it
 * notes where to continue.
 * @throws OriginRefusal
 */
export async function readListing(
  services: Services,
  shop: Shop,
  { adapter, listing, accessKey, isComplete }: Reading,
  { signal, progress }: JobControl,
): Promise<ReadOutcome> {
  const { db } = services
  const sku =
    (listing.productId === null ? null : await findProduct(db, shop.id, { id: listing.productId }))?.sku ?? ''
  const number = isComplete ? listing.reads + 1 : Math.max(1, listing.reads)
  const keys = new Set<string>()
  let cursor = isComplete ? listing.cursor : null
  let readSoFar = isComplete ? (listing.readSoFar ?? 0) : 0
  const fromStart = cursor === null
  for (let pages = 0; ; pages++) {
    signal.throwIfAborted()
    if ((await findListing(db, shop.id, { id: listing.id }))?.state !== 'active') throw new ReadStopped()
    const page = await pageOf(services, { adapter, listing, accessKey }, cursor)
    const before = keys.size
    for (const { key } of page.reviews) keys.add(key)
    if (page.reviews.length > 0 && (keys.size === before || pages >= MAX_PAGES))
      throw new OriginRefusal('endless')
    const { numbers = null, problems = null } = page
    const digest = adapter.origin === PAGE ? digestOf(page.reviews) : null
    if (digest !== null && isKnownContent(listing, digest))
      return { stated: page.count, distinct: keys.size, fromStart, digest, numbers, problems }
    let news = 0
    for (let from = 0; from < page.reviews.length; from += RECEIVED_AT_ONCE) {
      const some = page.reviews.slice(from, from + RECEIVED_AT_ONCE)
      news += await receivePage(services, shop, { adapter, listing, sku, number }, some, signal)
      await progress(readSoFar + from + some.length, page.count ?? listing.count)
    }
    readSoFar += page.reviews.length
    const isLast = page.next === null || (!isComplete && news === 0)
    if (isComplete)
      await updateListing(db, shop.id, listing.id, { cursor: isLast ? null : page.next, readSoFar })
    services.changes.announce(shop.id)
    if (isLast) return { stated: page.count, distinct: keys.size, fromStart, digest, numbers, problems }
    cursor = page.next
  }
}

/** Whether a sheet or page says what it has said often enough. */
export const isKnownContent = ({ digest, digestReads }: Listing, found: string): boolean =>
  digest === found && digestReads >= SETTLED_READS

const digestOf = (reviews: OriginReview[]) =>
  createHash('sha256').update(JSON.stringify(reviews)).digest('base64url')

async function pageOf(
  services: Services,
  { adapter, listing, accessKey }: Pick<Reading, 'adapter' | 'listing' | 'accessKey'>,
  cursor: string | null,
): Promise<ReviewPage> {
  const { kind, externalId: id } = listing
  if (kind === 'listing') return askOrigin(services, adapter, { ask: 'page', id, cursor }, accessKey)
  try {
    const review = await askOrigin(services, adapter, { ask: 'post', id }, accessKey)
    return { reviews: [review], next: null, count: 1 }
  } catch (error) {
    const isGone = error instanceof OriginRefusal && (error.code === 'unknown' || error.code === 'gone')
    if (!isGone) throw error
    return { reviews: [], next: null, count: 0 }
  }
}

/** Returns the number of new and changed reviews. */
async function receivePage(
  services: Services,
  shop: Shop,
  { adapter, listing, sku, number }: Pick<Reading, 'adapter' | 'listing'> & { sku: string; number: number },
  reviews: OriginReview[],
  signal: AbortSignal,
): Promise<number> {
  const { db, now } = services
  const wanted = reviews.filter((review) => isWanted(review, listing.languages))
  const candidates = wanted.map((review) => candidateOf(adapter, listing, sku, review))
  const known = await knownReviews(db, shop.id, candidates.map(storedIdentity))
  const fresh = candidates.flatMap((candidate, i) => {
    const earlier = known[i]!
    if (earlier && !isChanged(candidate, earlier)) return []
    return [{ candidate, portrait: wanted[i]!.portrait }]
  })
  if (fresh.length > 0) {
    const { publicId: intake } = await writing(db, (trx) => listingIntake(services, trx, listing))
    await services.workers.run(
      'takeInFound',
      { shopId: shop.id, intake, candidates: await copyPortraits(services, shop.id, fresh) },
      { signal },
    )
  }
  const moved = await writing(db, async (trx) => {
    const seen = candidates.map(({ posted }, i) => ({ key: wanted[i]!.key, ...posted! }))
    const ids = await noteSeen(trx, shop.id, adapter.origin, number, seen)
    for (const id of ids) await markReviewStale(trx, shop.id, id, now().toISOString())
    return ids
  })
  return fresh.length + moved.length
}

/** Reviews whose language can't be told are wanted too: they are short. */
function isWanted({ title, body }: OriginReview, languages: string[]): boolean {
  if (languages.length === 0) return true
  const language = languageOf(`${title}\n${body}`)
  return language === null || languages.includes(language)
}
