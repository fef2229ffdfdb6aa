import type { OriginAdapter } from '../../core/listing/originAdapter'
import { pageAdapter } from '../../core/listing/sheet/pageAdapter'
import { findListing, listingsOfShop, type Listing } from '../data/listings'
import { jobsWithKeys } from '../data/jobs'
import { productsWithIds } from '../data/products'
import { publishableCounts } from '../data/publishable'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { checkKey } from './checkListingJob'

/** An outside site as screens show it. */
export type SiteView = Pick<OriginAdapter, 'origin' | 'name' | 'icon' | 'scale' | 'needs' | 'guide' | 'home'>

/** The sites that can be connected, and a sheet or page at any address. */
export const siteViews = ({ origins }: Pick<Services, 'origins'>): SiteView[] =>
  [...origins, pageAdapter()].map(siteView)

const siteView = ({ origin, name, icon, scale, needs, guide, home }: OriginAdapter): SiteView => ({
  origin,
  name,
  icon,
  scale,
  needs,
  guide,
  home,
})

export interface ListingView extends Omit<
  Listing,
  'id' | 'shopId' | 'productId' | 'accessKey' | 'cursor' | 'intakeId' | 'reads' | 'digest' | 'digestReads'
> {
  site: SiteView | null
  product: string | null
  /** Of its reviews, those that displays can show. */
  publishable: number
  /** Whether a check is running or due now. */
  isChecking: boolean
}

/** How long a disconnected listing is shown, so that it can be connected again. */
const SHOWN_AFTERWARDS_MS = 7 * 86_400_000

/** The listings of a shop: those that need something first, disconnected ones last and for a week. */
export async function listingsView(services: Services, shop: Shop): Promise<ListingView[]> {
  const since = new Date(services.now().getTime() - SHOWN_AFTERWARDS_MS).toISOString()
  const all = await listingsOfShop(services.db, shop.id, true)
  const connected = new Set(all.filter(({ state }) => state !== 'disconnected').map(keyOf))
  const listings = all.filter(
    (listing) =>
      listing.disconnectedAt === null || (listing.disconnectedAt > since && !connected.has(keyOf(listing))),
  )
  const views = await viewsOf(services, shop, listings)
  return views.toSorted((a, b) => rank(a) - rank(b))
}

const keyOf = ({ origin, externalId }: Listing) => `${origin} ${externalId}`

const rank = ({ state, refusal }: ListingView) => (state === 'disconnected' ? 2 : refusal === null ? 1 : 0)

/** Null if there is none; also of a disconnected one, so that it can be connected again. */
export async function listingView(
  services: Services,
  shop: Shop,
  publicId: string,
): Promise<ListingView | null> {
  const listing = await findListing(services.db, shop.id, { publicId })
  return listing && (await viewsOf(services, shop, [listing]))[0]!
}

async function viewsOf(services: Services, shop: Shop, listings: Listing[]): Promise<ListingView[]> {
  if (listings.length === 0) return []
  const { db, now } = services
  const sites = new Map(siteViews(services).map((site) => [site.origin, site]))
  const products = await productsWithIds(
    db,
    shop.id,
    listings.map(({ productId }) => productId),
  )
  const counts = await publishableCounts(db, shop.id, null)
  const at = now().toISOString()
  const jobs = await jobsWithKeys(
    db,
    shop.id,
    listings.map(({ id }) => checkKey(id)),
  )
  return listings.map((listing) => {
    const {
      id,
      shopId: _shop,
      productId,
      accessKey: _key,
      cursor: _cursor,
      intakeId: _intake,
      reads: _reads,
      digest: _digest,
      digestReads: _digestReads,
      ...shown
    } = listing
    const job = jobs.get(checkKey(id))
    return {
      ...shown,
      site: sites.get(listing.origin) ?? null,
      product: productId === null ? null : (products.get(productId)?.title ?? null),
      publishable: counts
        .filter((one) => one.listing === listing.publicId)
        .reduce((sum, { count }) => sum + count, 0),
      isChecking:
        listing.state === 'active' && job !== undefined && (job.state === 'running' || job.dueAt <= at),
    }
  })
}
