import { FORMS_OF_PAGE } from '../../core/form/choices'
import type { Writers } from '../../core/intake/writers'
import { ordersSince } from '../data/orders'
import { arrivalsOfForms, countForms, formsOfShop, updateForm, type Form } from '../data/forms'
import { arrivalsSince } from '../data/arrivalCounts'
import { latestOfListings, storedOfListings, type ListingIntake } from '../data/intakes'
import { listingsView, type ListingView } from '../listing/listingViews'
import { latestReviews, type ReviewLine } from '../data/reviewLists'
import { countProducts, productsWithoutReview } from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

const THIRTY_DAYS_MS = 30 * 86_400_000
const LATEST = 8
const MAX_UNREVIEWED = 40

/** The start of the last 30 days. */
export function recently(now: Date): string {
  return new Date(now.getTime() - THIRTY_DAYS_MS).toISOString()
}

interface GatherView {
  /** In the last 30 days: those sent to the shop itself, and those from other sites. */
  arrivals: { own: { count: number; verified: number }; elsewhere: number }
  forms: (Pick<Form, 'publicId' | 'slug' | 'name' | 'state' | 'writers'> & {
    heading: string
    address: string
    arrivals: number
  })[]
  /** The forms that match, and all. */
  formCount: { matching: number; all: number }
  /** Added by the shop in the last 30 days. */
  writtenDown: number
  /** The shop's pages on other sites; those that need something first. */
  listings: (ListingView & { arrivals: number })[]
  /** Names of the sites that listings can be on. */
  sites: string[]
  latest: ReviewLine[]
  /** What the latest checks of listings brought. */
  latestFound: ListingIntake[]
  /** Products without a review, the most sold ones first, and the number of all products. */
  unreviewed: Awaited<ReturnType<typeof productsWithoutReview>>
  products: number
  /** Placed in the last 30 days. */
  orders: number
  /** Whether an email server is set up; without one nobody can confirm an address. */
  mails: boolean
}

/** @param page of the forms, counted from 1; the words are in their names */
export async function gatherView(
  services: Services,
  shop: Shop,
  { words = '', page = 1 }: { words?: string; page?: number } = {},
): Promise<GatherView> {
  const { db, now, publicUrl, mailer, origins } = services
  const since = recently(now())
  const forms = await formsOfShop(db, shop.id, {
    words,
    limit: FORMS_OF_PAGE,
    offset: (page - 1) * FORMS_OF_PAGE,
  })
  const stored = await storedOfListings(db, shop.id, since)
  const formArrivals = await arrivalsOfForms(
    db,
    forms.map(({ id }) => id),
    since,
  )
  return {
    arrivals: {
      own: await arrivalsSince(db, shop.id, since),
      elsewhere: [...stored.values()].reduce((total, count) => total + count, 0),
    },
    forms: forms.map(({ id, publicId, slug, name, state, writers, design }) => ({
      publicId,
      slug,
      name,
      state,
      writers,
      heading: design.heading,
      address: `${publicUrl}/f/${slug}`,
      arrivals: formArrivals.get(id) ?? 0,
    })),
    formCount: { matching: await countForms(db, shop.id, words), all: await countForms(db, shop.id) },
    writtenDown: (await arrivalsSince(db, shop.id, since, ['manualEntry'])).count,
    listings: (await listingsView(services, shop)).map((listing) => ({
      ...listing,
      arrivals: stored.get(listing.publicId) ?? 0,
    })),
    sites: origins.map(({ name }) => name),
    latest: await latestReviews(db, shop.id, LATEST),
    latestFound: await latestOfListings(db, shop.id, LATEST),
    unreviewed: await productsWithoutReview(db, shop.id, MAX_UNREVIEWED),
    mails: mailer !== null,
    orders: await ordersSince(db, shop.id, since),
    products: await countProducts(db, shop.id),
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
