import type { RefusalCode } from '../../core/listing/originRefusal'
import { OriginRefusal } from '../../core/listing/originRefusal'
import { adapterFor } from '../../core/listing/origins'
import type { SheetMatching } from '../../core/listing/matching'
import type { SheetSample } from '../../core/listing/sheetSample'
import { findListing, updateListing } from '../data/listings'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { askForCheck } from './checkListing'
import type { OwnMatching } from './connectListing'
import { describeListing } from './understand'

/** A connected sheet as it is now, with its columns as they are matched. */
interface SheetView {
  name: string
  address: string
  sheet: SheetSample
  matching: SheetMatching
}

/** Null if there is no such sheet. */
export async function sheetView(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<SheetView | { refusal: RefusalCode } | null> {
  const listing = await findListing(services.db, shop.id, { publicId })
  if (!listing?.matching || listing.state === 'disconnected') return null
  const { matching, name, url, kind, externalId: id } = listing
  // The headings can have changed, so it's described without the matching.
  const adapter = adapterFor(services.origins, { ...listing, matching: null })!
  try {
    const { business } = await describeListing(services, shop, adapter, { kind, id }, '')
    return business?.sheet
      ? { name, address: url, sheet: business.sheet, matching }
      : { refusal: 'noReviews' }
  } catch (error) {
    if (error instanceof OriginRefusal) return { refusal: error.code }
    throw error
  }
}

/** Matches the columns of a sheet anew, and reads it. Rows that can't be told to be the same are replaced. */
export async function matchSheet(
  services: Services,
  shop: Shop,
  publicId: string,
  matching: OwnMatching,
): Promise<boolean> {
  const { db, now } = services
  const listing = await findListing(db, shop.id, { publicId })
  if (!listing?.matching || listing.state === 'disconnected') return false
  await writing(db, async (trx) => {
    await updateListing(trx, shop.id, listing.id, {
      matching: { ...matching, timeZone: shop.timeZone },
      state: 'active',
      refusal: null,
      failures: 0,
      acceptsFewer: true,
      digest: null,
    })
    await askForCheck(trx, listing, now().toISOString())
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
  return true
}
