import type { Actor } from '../../core/moderation/actor'
import type { RefusalCode } from '../../core/listing/originRefusal'
import { adapterFor } from '../../core/listing/origins'
import { OriginRefusal } from '../../core/listing/originRefusal'
import { askToUndoIntake } from '../collection/undoIntake'
import { findListing, intakesOfListing, updateListing, type Listing } from '../data/listings'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { sealAccessKey } from './accessKey'
import { askForCheck } from './checkListing'
import { describeListing } from './understand'

/** What the owner does with a listing; each has its opposite. */
type ListingAct =
  | 'check'
  /** Missing reviews are really gone. */
  | 'acceptFewer'
  | 'stop'
  | 'resume'
  /** Its reviews stay. */
  | 'disconnect'
  | 'disconnectAndRemove'
  | 'reconnect'
  /** Visitors get a link to it, or no more. */
  | 'link'
  | 'unlink'

/** Returns false if there is no such listing, or the act does not fit its state. */
export async function actOnListing(
  services: Services,
  shop: Shop,
  actor: Actor,
  publicId: string,
  act: ListingAct,
): Promise<boolean> {
  const listing = await findListing(services.db, shop.id, { publicId })
  if (!listing || !fits(act, listing)) return false
  if (act === 'reconnect' && (await isConnectedAnew(services, shop, listing))) return false
  const at = services.now().toISOString()
  await writing(services.db, async (trx) => {
    // Whatever it is, the next check compares everything again.
    const update = (changes: Partial<Listing>) =>
      updateListing(trx, shop.id, listing.id, { digest: null, ...changes })
    if (act === 'link' || act === 'unlink') await update({ isLinked: act === 'link' })
    if (act === 'acceptFewer') await update({ acceptsFewer: true })
    if (act === 'check' || act === 'acceptFewer') await askForCheck(trx, listing, at)
    else if (act === 'stop') await update({ state: 'stopped', nextCheckAt: null })
    else if (act === 'disconnect' || act === 'disconnectAndRemove')
      await update({
        state: 'disconnected',
        disconnectedAt: at,
        nextCheckAt: null,
        removedAt: act === 'disconnectAndRemove' ? at : null,
      })
    else if (act === 'resume' || act === 'reconnect') {
      await update({ state: 'active', removedAt: null, disconnectedAt: null })
      await askForCheck(trx, listing, at)
    }
    await markAllStale(trx, shop.id, at)
  })
  const removes = act === 'disconnectAndRemove'
  if (removes || (act === 'reconnect' && listing.removedAt !== null))
    for (const intake of await intakesOfListing(services.db, shop.id, listing.id, !removes))
      await askToUndoIntake(services, shop, actor, intake, !removes)
  services.changes.announce(shop.id)
  services.wakeJobs()
  return true
}

function fits(act: ListingAct, { state }: Listing): boolean {
  switch (act) {
    case 'check':
    case 'acceptFewer':
    case 'stop':
      return state === 'active'
    case 'resume':
      return state === 'stopped'
    case 'disconnect':
    case 'disconnectAndRemove':
      return state !== 'disconnected'
    case 'reconnect':
      return state === 'disconnected'
    case 'link':
    case 'unlink':
      return true
  }
}

const isConnectedAnew = async ({ db }: Services, shop: Shop, { origin, externalId }: Listing) =>
  (await findListing(db, shop.id, { origin, externalId })) !== null

/** How later arrivals are treated. */
export async function setListingArrivals(
  services: Services,
  shop: Shop,
  publicId: string,
  arrivesAs: Listing['arrivesAs'],
): Promise<boolean> {
  const listing = await findListing(services.db, shop.id, { publicId })
  if (!listing) return false
  await updateListing(services.db, shop.id, listing.id, { arrivesAs })
  return true
}

/** Tries a new access key and, if the site takes it, checks the listing with it. Returns the refusal, or null. */
export async function renewAccessKey(
  services: Services,
  shop: Shop,
  publicId: string,
  typed: string,
): Promise<RefusalCode | null> {
  const { db } = services
  const accessKey = typed.trim()
  const listing = await findListing(db, shop.id, { publicId })
  const adapter = listing && adapterFor(services.origins, listing)
  if (!listing || !adapter || listing.state === 'disconnected') return 'unknown'
  if (accessKey === '') return 'keyMissing'
  try {
    await describeListing(services, shop, adapter, { kind: listing.kind, id: listing.externalId }, accessKey)
  } catch (error) {
    if (error instanceof OriginRefusal) return error.code
    throw error
  }
  await writing(db, async (trx) => {
    await updateListing(trx, shop.id, listing.id, {
      accessKey: sealAccessKey(services, accessKey),
      state: 'active',
      refusal: null,
      failures: 0,
    })
    await askForCheck(trx, listing, services.now().toISOString())
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return null
}
