import type { Business, OriginAdapter, OriginReview, Suggestion } from '../../core/listing/originAdapter'
import { OriginRefusal, type RefusalCode } from '../../core/listing/originRefusal'
import { firstAddress, looksLikeName } from '../../core/listing/pasted'
import { adapterFor, recogniseOrigin } from '../../core/listing/origins'
import { PAGE } from '../../core/listing/sheet/page'
import { pageAdapter } from '../../core/listing/sheet/pageAdapter'
import { accessKeyOf, findListing } from '../data/listings'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { openAccessKey } from './accessKey'
import { askOrigin } from './askOrigin'

const MAX_TEXT = 2000

export interface SuggestedBusiness extends Suggestion {
  origin: string
}

/** What a business or post on another site is, before it is connected. */
export interface Described {
  origin: string
  id: string
  business: Business | null
  post: OriginReview | null
  /** The connected listing, if it is one of the shop's already. */
  connected: string | null
}

/** What a person typed or pasted. */
export type Understood =
  | { kind: 'described'; described: Described }
  | { kind: 'needsKey'; origin: string; id: string }
  | { kind: 'suggested'; suggestions: SuggestedBusiness[] }
  | { kind: 'refused'; origin: string; refusal: RefusalCode }
  /** An address that is too long, or has a password in it. */
  | { kind: 'unusable' }
  /** It looks like the name of a business, and no site that is set up knows one like it. */
  | { kind: 'unknownName' }
  | { kind: 'message' }

/** Recognises addresses, ids and names of outside sites; anything else is a message. */
export async function understand(services: Services, shop: Shop, typed: string): Promise<Understood> {
  const text = typed.slice(0, MAX_TEXT).trim()
  const isLine = !text.includes('\n')
  const recognised = isLine && text !== '' ? recogniseOrigin(services.origins, text) : null
  if (recognised) {
    const { adapter, found } = recognised
    return describeFound(services, shop, adapter, found)
  }
  const address = isLine ? firstAddress(text) : null
  if (address && address.length > text.length / 2) return { kind: 'unusable' }
  if (!looksLikeName(text)) return { kind: 'message' }
  const suggestions = await suggestAnywhere(services, shop, text)
  return suggestions.length > 0 ? { kind: 'suggested', suggestions } : { kind: 'unknownName' }
}

async function describeFound(
  services: Services,
  shop: Shop,
  adapter: OriginAdapter,
  found: { kind: 'listing' | 'post'; id: string },
): Promise<Understood> {
  const { origin } = adapter
  const accessKey = await storedKey(services, shop, origin)
  if (adapter.needs === 'accessKey' && accessKey === '') return { kind: 'needsKey', origin, id: found.id }
  try {
    return { kind: 'described', described: await describeListing(services, shop, adapter, found, accessKey) }
  } catch (error) {
    if (error instanceof OriginRefusal) return { kind: 'refused', origin, refusal: error.code }
    throw error
  }
}

/** The id of a sheet or page is its address, which can be written in several ways. */
export const storedId = (origin: string, id: string): string =>
  origin === PAGE ? (pageAdapter().recognise(id)?.id ?? id) : id

/** A business or post by its site and id; null for an unknown site. */
export async function describeOnSite(
  services: Services,
  shop: Shop,
  origin: string,
  found: { kind: 'listing' | 'post'; id: string },
): Promise<Understood | null> {
  const id = storedId(origin, found.id)
  const adapter = adapterFor(services.origins, { origin, externalId: id, matching: null })
  return adapter ? describeFound(services, shop, adapter, { ...found, id }) : null
}

/** What was typed for one site: an address or id of its own, else a name. Null for an unknown site. */
export async function suggestOnSite(
  services: Services,
  shop: Shop,
  origin: string,
  typed: string,
): Promise<Understood | null> {
  const text = typed.slice(0, MAX_TEXT).trim()
  const recognised = recogniseOrigin(services.origins, text)
  if (recognised) return describeFound(services, shop, recognised.adapter, recognised.found)
  const address = firstAddress(text)
  if (address) return { kind: 'unusable' }
  const adapter = services.origins.find((one) => one.origin === origin)
  if (!adapter) return { kind: 'suggested', suggestions: [] }
  try {
    return { kind: 'suggested', suggestions: await suggestOn(services, shop, adapter, text) }
  } catch (error) {
    if (error instanceof OriginRefusal) return { kind: 'refused', origin, refusal: error.code }
    throw error
  }
}

/** @throws OriginRefusal */
export async function describeListing(
  services: Services,
  shop: Shop,
  adapter: OriginAdapter,
  { kind, id }: { kind: 'listing' | 'post'; id: string },
  accessKey: string,
): Promise<Described> {
  const { origin } = adapter
  const [business, post] =
    kind === 'listing'
      ? [await askOrigin(services, adapter, { ask: 'describe', id }, accessKey), null]
      : [null, await askOrigin(services, adapter, { ask: 'post', id }, accessKey)]
  const connected = await findListing(services.db, shop.id, { origin, externalId: id })
  return { origin, id, business, post, connected: connected?.publicId ?? null }
}

/** The key that the shop has given for a site; empty if there is none. */
export async function storedKey(services: Services, shop: Shop, origin: string): Promise<string> {
  return openAccessKey(services, await accessKeyOf(services.db, shop.id, origin))
}

async function suggestAnywhere(services: Services, shop: Shop, name: string): Promise<SuggestedBusiness[]> {
  const found = await Promise.all(
    services.origins.map((adapter) => suggestOn(services, shop, adapter, name).catch(() => [])),
  )
  return found.flat().slice(0, 8)
}

/**
 * Businesses with a name like the typed one; none from a site whose access key is missing.
 * @throws OriginRefusal
 */
async function suggestOn(
  services: Services,
  shop: Shop,
  adapter: OriginAdapter,
  name: string,
): Promise<SuggestedBusiness[]> {
  const accessKey = await storedKey(services, shop, adapter.origin)
  if (adapter.needs === 'accessKey' && accessKey === '') return []
  const found = await askOrigin(services, adapter, { ask: 'suggest', name: name.slice(0, 100) }, accessKey)
  return found.map((suggestion) => ({ ...suggestion, origin: adapter.origin }))
}
