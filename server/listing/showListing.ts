import { say } from '../../core/messages/say/everything'
import { findListing } from '../data/listings'
import type { Shop } from '../data/shops'
import { addDisplay } from '../publishing/manage'
import { startOf } from '../publishing/newDisplay'
import type { Services } from '../services'

const SHOWN = 12

/** Creates a display of a listing's reviews alone. Returns its key, or null if there is no such listing. */
export async function showListing(services: Services, shop: Shop, publicId: string): Promise<string | null> {
  const listing = await findListing(services.db, shop.id, { publicId })
  if (!listing) return null
  const site = services.origins.find(({ origin }) => origin === listing.origin)?.name ?? listing.origin
  const configuration = startOf('grid')
  return addDisplay(services, shop, say('listings.displayName', { site, name: listing.name }).slice(0, 80), {
    ...configuration,
    selection: { ...configuration.selection, limit: SHOWN, listings: [publicId] },
    heading: { ...configuration.heading, average: false, count: false, siteNumbers: true, allThere: true },
    parts: { ...configuration.parts, origin: 'name', likes: listing.scale === null },
  })
}
