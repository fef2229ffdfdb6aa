import type { Writers } from '../../core/intake/writers'
import { ordersSince } from '../data/orders'
import { arrivalsOfForm, formsOfShop, updateForm, type Form } from '../data/forms'
import { arrivalsSince } from '../data/arrivalCounts'
import { latestOfListings, storedOfListing, type ListingIntake } from '../data/intakes'
import { listingsView, type ListingView } from '../listing/listingViews'
import { latestReviews, type ReviewLine } from '../data/reviewLists'
import { productsOfShop, productsWithoutReview, type Product } from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

const THIRTY_DAYS_MS = 30 * 86_400_000
const LATEST = 8

/** The start of the last 30 days. */
export function recently(now: Date): string {
  return new Date(now.getTime() - THIRTY_DAYS_MS).toISOString()
}

export interface GatherView {
  arrivals: { count: number; verified: number }
  forms: (Pick<Form, 'publicId' | 'slug' | 'name' | 'state' | 'writers'> & {
    heading: string
    address: string
    arrivals: number
  })[]
  /** Added by the shop in the last 30 days. */
  writtenDown: number
  /** The shop's pages on other sites; those that need something first. */
  listings: (ListingView & { arrivals: number })[]
  /** Names of the sites that listings can be on. */
  sites: string[]
  latest: ReviewLine[]
  /** What the latest checks of listings brought. */
  latestFound: ListingIntake[]
  /** Products without a review, and their total. */
  quiet: (Pick<Product, 'sku' | 'title' | 'picture'> & { sold: number })[]
  products: number
  /** Placed in the last 30 days. */
  orders: number
  /** Whether an email server is set up; without one nobody can confirm an address. */
  mails: boolean
}

export async function gatherView(services: Services, shop: Shop): Promise<GatherView> {
  const { db, now, publicUrl, mailer, origins } = services
  const since = recently(now())
  const forms = await formsOfShop(db, shop.id)
  return {
    arrivals: await arrivalsSince(db, shop.id, since),
    forms: await Promise.all(
      forms.map(async ({ id, publicId, slug, name, state, writers, design }) => ({
        publicId,
        slug,
        name,
        state,
        writers,
        heading: design.heading,
        address: `${publicUrl}/f/${slug}`,
        arrivals: await arrivalsOfForm(db, id, since),
      })),
    ),
    writtenDown: (await arrivalsSince(db, shop.id, since, ['manualEntry'])).count,
    listings: await Promise.all(
      (await listingsView(services, shop)).map(async (listing) => ({
        ...listing,
        arrivals: await storedOfListing(db, shop.id, listing.publicId, since),
      })),
    ),
    sites: origins.map(({ name }) => name),
    latest: await latestReviews(db, shop.id, LATEST),
    latestFound: await latestOfListings(db, shop.id, LATEST),
    quiet: await productsWithoutReview(db, shop.id),
    mails: mailer !== null,
    orders: await ordersSince(db, shop.id, since),
    products: (await productsOfShop(db, shop.id)).length,
  }
}

/**
 * Sets who can write through a form; earlier reviews stay as they are. Returns false if the shop has no such
 * form.
 */
export function setWriters(
  { db }: Services,
  shop: Shop,
  publicId: string,
  writers: Writers,
): Promise<boolean> {
  return updateForm(db, shop.id, publicId, { writers })
}
