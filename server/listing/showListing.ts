import { say } from '../../core/messages/say/everything'
import { placeName } from '../../core/listing/origins'
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
  const { matching, name } = listing
  const hasAnswers = matching?.columns.some(({ use }) => use === 'answer') ?? false
  const configuration = startOf(hasAnswers ? 'table' : 'grid')
  const site = placeName(services.origins, listing)
  const called = site === name ? name : say('listings.displayName', { site, name })
  return addDisplay(services, shop, called.slice(0, 80), {
    ...configuration,
    selection: { ...configuration.selection, limit: SHOWN, listings: [publicId] },
    heading: {
      ...configuration.heading,
      average: false,
      count: false,
      siteNumbers: matching === null,
      allThere: matching === null,
    },
    parts: { ...configuration.parts, origin: 'name', likes: listing.scale === null },
  })
}
