import { askOrigin } from '../server/listing/askOrigin'
import { sealAccessKey } from '../server/listing/accessKey'
import { actOnListing } from '../server/listing/changeListing'
import { connectListing } from '../server/listing/connectListing'
import { findListing, updateListing } from '../server/data/listings'
import type { Member } from '../server/data/members'
import type { Shop } from '../server/data/shops'
import type { Services } from '../server/services'
import type { ListingStory } from './story'

/**
 * Connects the shop's pages on other sites and reads them. Returns their public ids by the ids they have there.
 */
export async function connectListings(
  services: Services,
  shop: Shop,
  member: Member,
  stories: ListingStory[],
  doJobs: () => Promise<void>,
): Promise<Map<string, string>> {
  const connected = new Map<string, string>()
  for (const story of stories) {
    const { origin, kind, tag = '', accessKey = '' } = story
    const id = await idOf(services, story)
    const made = await connectListing(services, shop, {
      origin,
      kind,
      id,
      accessKey,
      tag,
      languages: [],
      product: '',
      arrivesAs: 'approved',
    })
    if (made.outcome === 'refused') throw new Error(`${origin} refuses ${id}: ${made.refusal}`)
    connected.set(id, made.listing)
    await doJobs()
    if (!story.withdrawn) continue
    const listing = (await findListing(services.db, shop.id, { publicId: made.listing }))!
    await updateListing(services.db, shop.id, listing.id, {
      accessKey: sealAccessKey(services, `${accessKey}-old`),
    })
    await actOnListing(services, shop, member, made.listing, 'check')
    await doJobs()
  }
  return connected
}

/** A single post has an id that only its site knows. */
async function idOf(services: Services, { origin, kind, id, of }: ListingStory): Promise<string> {
  if (kind === 'listing' || of === undefined) return id
  const adapter = services.origins.find((one) => one.origin === origin)!
  const profile = await askOrigin(services, adapter, { ask: 'describe', id: of })
  return profile.latest!.key
}
