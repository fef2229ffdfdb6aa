import { placeName } from '../../core/listing/origins'
import { brandShades, type BrandShades } from '../../core/display/brand'
import type { Writers } from '../../core/intake/writers'
import type { RatingTally } from '../../core/curation/ratingTally'
import { selectionFacts, type SelectionFact } from '../../core/display/selectionFacts'
import { ownSources } from '../../core/intake/sourcePolicy'
import { reviewStates } from '../../core/moderation/rules'
import { liveConfigurations } from '../data/displays'
import { firstOpenForm } from '../data/forms'
import { laneCounts } from '../data/reviewCounts'
import { listingsOfShop } from '../data/listings'
import { findShopBySlug } from '../data/shops'
import type { Services } from '../services'
import { readPublishable } from './publishable'

/** How a shop handles its reviews, for visitors: current counts and settings. */
interface ReviewPolicy {
  shop: {
    name: string
    shortName: string
    logo: string | null
    siteUrl: string
    shades: BrandShades
    locale: string
    customerLanguages: string[]
  }
  received: number
  approved: number
  /** Waiting or held back. */
  undecided: number
  declined: number
  spam: number
  /** Customers' own ratings, which make up the average. */
  averaged: RatingTally
  /** Approved reviews that came to the shop and can be shown, rated by customers or not. */
  shown: number
  /** Those from other sites, and the names of the sites. */
  elsewhere: { count: number; sites: string[] }
  /** The selection of each published display that shows more than the newest; equal ones once. */
  selections: SelectionFact[][]
  form: string | null
  /** Who may write. */
  writers: Writers
}

/** Displays that select in other ways than these are not listed. */
const MAX_SELECTIONS = 60

export async function reviewPolicy(services: Services, slug: string): Promise<ReviewPolicy | null> {
  const { db, publicUrl } = services
  const shop = await findShopBySlug(db, slug)
  if (!shop) return null
  const counts = await laneCounts(db, shop.id, ownSources)
  // A review with an undecided change counts with its published version.
  const publishable = await (await readPublishable(db, shop)).totals(null)
  const elsewhere = Object.values(publishable.byListing).reduce((sum, count) => sum + count, 0)
  const live = await liveConfigurations(db, shop.id, MAX_SELECTIONS)
  const form = await firstOpenForm(db, shop.id)
  const { name, shortName, logo, siteUrl, locale, customerLanguages } = shop
  return {
    shop: { name, shortName, logo, siteUrl, locale, customerLanguages, shades: brandShades(shop.brand) },
    received: reviewStates.reduce((sum, state) => sum + counts[state], 0),
    approved: counts.approved,
    undecided: counts.waiting + counts.held,
    declined: counts.declined,
    spam: counts.spam,
    averaged: publishable.tally,
    shown: publishable.publishableCount - elsewhere,
    elsewhere: {
      count: elsewhere,
      sites: [
        ...new Set((await listingsOfShop(db, shop.id, true)).map((one) => placeName(services.origins, one))),
      ],
    },
    selections: [
      ...new Map(
        live
          .map((configuration) => selectionFacts(configuration))
          .filter((facts) => facts.length > 0)
          .map((facts) => [JSON.stringify(facts), facts]),
      ).values(),
    ],
    writers: form?.writers ?? 'anyone',
    form: form ? `${publicUrl}/f/${form.slug}` : null,
  }
}
