import { asMember } from '../core/moderation/actor'
import { pageAdapter } from '../core/listing/sheet/pageAdapter'
import { askOrigin } from '../server/listing/askOrigin'
import { sealAccessKey } from '../server/listing/accessKey'
import { actOnListing } from '../server/listing/changeListing'
import { connectListing, type OwnMatching } from '../server/listing/connectListing'
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
    const matching = story.sheet ? await matchingOf(services, id, story.sheet) : null
    const made = await connectListing(services, shop, {
      origin,
      kind,
      id,
      accessKey,
      tag,
      languages: [],
      product: '',
      arrivesAs: 'approved',
      matching,
      name: story.sheet?.name,
    })
    if (made.outcome === 'refused') throw new Error(`${origin} refuses ${id}: ${made.refusal}`)
    connected.set(story.id, made.listing)
    await doJobs()
    if (!story.withdrawn) continue
    const listing = (await findListing(services.db, shop.id, { publicId: made.listing }))!
    await updateListing(services.db, shop.id, listing.id, {
      accessKey: sealAccessKey(services, `${accessKey}-old`),
    })
    await actOnListing(services, shop, asMember(member), made.listing, 'check')
    await doJobs()
  }
  return connected
}

/** A single post has an id that only its site knows. */
async function idOf(services: Services, { origin, kind, id, of, sheet }: ListingStory): Promise<string> {
  // Sheets are published by the host of the other sites.
  if (sheet) return new URL(id, services.origins[0]!.home).href
  if (kind === 'listing' || of === undefined) return id
  const adapter = services.origins.find((one) => one.origin === origin)!
  const profile = await askOrigin(services, adapter, { ask: 'describe', id: of })
  return profile.latest!.key
}

/** As the columns are guessed; answers without a question of the story stay private. */
async function matchingOf(
  services: Services,
  address: string,
  { questions }: NonNullable<ListingStory['sheet']>,
): Promise<OwnMatching> {
  const { sheet } = await askOrigin(services, pageAdapter(null, address), { ask: 'describe', id: address })
  const { columns, ...guess } = sheet!.guess
  return {
    ...guess,
    isDayFirst: guess.isDayFirst ?? true,
    columns: columns.map((column) => {
      const label = questions[column.heading] ?? ''
      return column.use === 'answer' ? { ...column, label, use: label ? 'answer' : 'private' } : column
    }),
  }
}
