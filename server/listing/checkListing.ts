import { keysOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import { COMPLETE_EVERY_MS, nextCheckMs, nextTryMs, spreadOf } from '../../core/listing/checkTimes'
import type { OriginAdapter } from '../../core/listing/originAdapter'
import { OriginRefusal } from '../../core/listing/originRefusal'
import { adapterFor } from '../../core/listing/origins'
import { PAGE } from '../../core/listing/sheet/page'
import { asSystem } from '../../core/moderation/actor'
import { withdrawVanished } from '../collection/changeKnown'
import { countIntake, findIntake } from '../data/intakes'
import { countPresent, countSeen, oldestSeen, reviewsMissing } from '../data/listingReviews'
import { findListing, updateListing, type Listing } from '../data/listings'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Job, JobControl } from '../jobs/job'
import { enqueue } from '../jobs/queue'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { openAccessKey } from './accessKey'
import { askOrigin } from './askOrigin'
import { CHECK_LISTING, checkKey, checkListingSchema } from './checkListingJob'
import { listingIntake } from './listingIntake'
import { isKnownContent, readListing, ReadStopped, type ReadOutcome } from './readListing'

/** When another listing of the site is being checked. */
const BUSY_MS = 3000
const MISSING_SITE_MS = 3_600_000
const WITHDRAWN_AT_ONCE = 20
/** More missing reviews than this, and more than half, are a fault of the site until the owner says otherwise. */
const MAX_MISSING_UNASKED = 5

/** Queues a check. Another one that waits is replaced. */
export async function askForCheck(
  trx: Knex.Transaction,
  { shopId, id }: Pick<Listing, 'shopId' | 'id'>,
  dueAt: string,
): Promise<void> {
  await enqueue(trx, {
    shopId,
    kind: CHECK_LISTING,
    uniqueKey: checkKey(id),
    payload: { listingId: id },
    dueAt,
  })
  await updateListing(trx, shopId, id, { nextCheckAt: dueAt })
}

/** The job. At its end it queues the next check. */
export async function runCheckListing(services: Services, job: Job, control: JobControl): Promise<void> {
  const { db, now, busyOrigins } = services
  const { listingId } = checkListingSchema.parse(job.payload)
  const listing = await findListing(db, job.shopId!, { id: listingId })
  const adapter = listing && adapterFor(services.origins, listing)
  if (!listing || listing.state !== 'active') return
  const later = (ms: number) => new Date(now().getTime() + ms).toISOString()
  // The installation has been started without the site; it may be there again next time.
  if (!adapter) return writing(db, (trx) => askForCheck(trx, listing, later(MISSING_SITE_MS)))
  if (busyOrigins.has(adapter.callsAs)) return writing(db, (trx) => askForCheck(trx, listing, later(BUSY_MS)))
  busyOrigins.add(adapter.callsAs)
  const shop = await findShop(db, listing.shopId)
  const spread = spreadOf(listing.publicId)
  try {
    const changedAt = await check(services, shop, { adapter, listing }, control)
    const quietMs = now().getTime() - Date.parse(changedAt)
    await writing(db, (trx) =>
      askForCheck(trx, listing, later(nextCheckMs(quietMs, adapter.checkMinutes, spread))),
    )
  } catch (error) {
    if (error instanceof ReadStopped) return
    if (!(error instanceof OriginRefusal)) throw error
    const failures = listing.failures + 1
    const wait = nextTryMs(error.code, { failures, retryAfter: error.retryAfter, spread })
    await writing(db, async (trx) => {
      await updateListing(trx, shop.id, listing.id, {
        refusal: error.code,
        refusedAt: now().toISOString(),
        failures,
        nextCheckAt: null,
        ...(startsAnew(error) && { cursor: null, readSoFar: null }),
      })
      if (wait !== null) await askForCheck(trx, listing, later(wait))
    })
  } finally {
    busyOrigins.delete(adapter.callsAs)
    services.changes.announce(shop.id)
    services.wakeJobs()
  }
}

const startsAnew = ({ code }: OriginRefusal) =>
  code === 'endless' || code === 'incomplete' || code === 'fewer'

/**
 * Returns when the listing last had news.
 * @throws OriginRefusal
 */
async function check(
  services: Services,
  shop: Shop,
  { adapter, listing }: { adapter: OriginAdapter; listing: Listing },
  control: JobControl,
): Promise<string> {
  const { db, now } = services
  const accessKey = openAccessKey(services, listing.accessKey)
  const isClosed = await describe(services, shop, { adapter, listing, accessKey })
  const isComplete = listing.acceptsFewer || (await isCompleteDue(services, shop, { adapter, listing }))
  const outcome = await readListing(services, shop, { adapter, listing, accessKey, isComplete }, control)
  if (outcome.numbers) await storeShown(services, shop, listing, outcome.numbers)
  const isSettled = outcome.digest !== null && isKnownContent(listing, outcome.digest)
  const withdrawn =
    isComplete && !isSettled ? await endRead(services, shop, { adapter, listing }, outcome) : 0
  const at = now().toISOString()
  const intake = listing.intakeId === null ? null : await findIntake(db, shop.id, { id: listing.intakeId })
  const found = { stored: intake?.stored ?? 0, changed: intake?.changed ?? 0, withdrawn }
  const hasNews = found.stored + found.changed + withdrawn > 0
  const changedAt = hasNews ? at : (listing.changedAt ?? listing.createdAt)
  await updateListing(db, shop.id, listing.id, {
    refusal: isClosed ? 'closed' : null,
    refusedAt: isClosed ? at : null,
    failures: 0,
    checkedAt: at,
    changedAt,
    found,
    intakeId: null,
    cursor: null,
    readSoFar: null,
    acceptsFewer: false,
    problems: outcome.problems,
    digest: outcome.digest,
    digestReads: outcome.digest === listing.digest ? listing.digestReads + 1 : 1,
  })
  return changedAt
}

/** Stores what the site says of the business. Returns whether it is closed. */
async function describe(
  services: Services,
  shop: Shop,
  { adapter, listing, accessKey }: { adapter: OriginAdapter; listing: Listing; accessKey: string },
): Promise<boolean> {
  // A sheet or page is read whole, with all that it says.
  if (listing.kind === 'post' || listing.origin === PAGE) return false
  const business = await askOrigin(services, adapter, { ask: 'describe', id: listing.externalId }, accessKey)
  const { name, street, url, writeUrl, average, count, isClosed } = business
  const shown = { name: name || listing.name, street, url, writeUrl, average, count }
  await storeShown(services, shop, listing, shown)
  return isClosed
}

/** Stores what visitors read of a listing, and marks the displays if it differs. */
async function storeShown(
  { db, now }: Services,
  shop: Shop,
  listing: Listing,
  shown: Partial<Listing>,
): Promise<void> {
  const isSame = keysOf(shown).every((part) => listing[part] === shown[part])
  if (!isSame)
    await writing(db, async (trx) => {
      await updateListing(trx, shop.id, listing.id, shown)
      await markAllStale(trx, shop.id, now().toISOString())
    })
  Object.assign(listing, shown)
}

/** The first read, one in progress, one that is due, or one that would explain the number of the site. */
async function isCompleteDue(
  { db, now }: Services,
  shop: Shop,
  { adapter, listing }: { adapter: OriginAdapter; listing: Listing },
): Promise<boolean> {
  if (listing.readSoFar !== null || listing.readAt === null || listing.kind === 'post') return true
  // A sheet or page is a single answer.
  if (listing.origin === PAGE) return true
  if (now().getTime() - Date.parse(listing.readAt) >= COMPLETE_EVERY_MS) return true
  const { newestOnly } = adapter.limits
  const isWindowed = newestOnly !== null && (listing.count ?? 0) > newestOnly
  if (isWindowed || listing.languages.length > 0) return false
  return (listing.count ?? 0) < (await countPresent(db, shop.id, listing.id))
}

/**
 * Ends a complete read: withdraws what the latest two have not seen. Returns how many.
 * @throws OriginRefusal if the read can't have been complete
 */
async function endRead(
  services: Services,
  shop: Shop,
  { adapter, listing }: { adapter: OriginAdapter; listing: Listing },
  { stated, distinct, fromStart, problems }: ReadOutcome,
): Promise<number> {
  const { db, now } = services
  const number = listing.reads + 1
  const { newestOnly } = adapter.limits
  const read = fromStart ? distinct : await countSeen(db, listing.id, number)
  const expected = Math.min(stated ?? 0, newestOnly ?? Infinity)
  // What was read before a restart is not known by its keys if some languages are left out.
  const isKnown = fromStart || listing.languages.length === 0
  // Rows that could not be read may be those that are missing.
  const isCounted = isKnown && (problems?.unreadRows ?? []).length === 0
  if (isCounted && read < expected) throw new OriginRefusal('incomplete')
  const isWindowed = newestOnly !== null && (stated ?? 0) > read
  const writtenAfter = isWindowed ? await oldestSeen(db, listing.id, number) : ''
  // Its owner has said that missing ones are gone, or how the columns are to be read from now on.
  const seenBefore = listing.acceptsFewer ? number : number - 1
  const missing = isCounted ? await reviewsMissing(db, shop.id, listing.id, { seenBefore, writtenAfter }) : []
  const present =
    missing.length > MAX_MISSING_UNASKED ? await countPresent(db, shop.id, listing.id) : Infinity
  const areTooMany = missing.length > present / 2
  if (isCounted) await updateListing(db, shop.id, listing.id, { reads: number, readAt: now().toISOString() })
  listing.reads = isCounted ? number : listing.reads
  if (areTooMany && !listing.acceptsFewer) throw new OriginRefusal('fewer')
  for (let from = 0; from < missing.length; from += WITHDRAWN_AT_ONCE)
    await withdraw(services, shop, listing, missing.slice(from, from + WITHDRAWN_AT_ONCE))
  return missing.length
}

async function withdraw(services: Services, shop: Shop, listing: Listing, ids: number[]): Promise<void> {
  await writing(services.db, async (trx) => {
    const intake = await listingIntake(services, trx, listing)
    await withdrawVanished(services, trx, shop, { actor: asSystem, intake }, ids)
    await countIntake(trx, intake.id, { withdrawn: ids.length })
  })
}
