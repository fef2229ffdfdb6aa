import { brandShades, type BrandShades } from '../../core/display/brand'
import type { Writers } from '../../core/intake/writers'
import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { inAverages } from '../../core/display/showableReview'
import { selectionFacts, type SelectionFact } from '../../core/display/selectionFacts'
import { reviewStates } from '../../core/moderation/rules'
import { displaysOfShop } from '../data/displays'
import { formsOfShop } from '../data/forms'
import { laneCounts } from '../data/reviewCounts'
import { findShopBySlug } from '../data/shops'
import type { Services } from '../services'

/** How a shop handles its reviews, for visitors: counts and settings as they are now. */
export interface ReviewPolicy {
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
  /** Waiting for a decision or held back for a closer look. */
  undecided: number
  declined: number
  spam: number
  /** Customers' own ratings that make up the average. */
  counted: RatingTally
  /** Approved ones that may be shown, of which the shop wrote some down. */
  shown: number
  /** What each display selects by that shows more than the newest of all; the same selection once. */
  selections: SelectionFact[][]
  form: string | null
  /** Who may write through it. */
  writers: Writers
}

export async function reviewPolicy(services: Services, slug: string): Promise<ReviewPolicy | null> {
  const { db, publicUrl } = services
  const shop = await findShopBySlug(db, slug)
  if (!shop) return null
  const counts = await laneCounts(db, shop.id)
  // What displays show and average: a review whose change waits stands there with the words before it.
  const stock = await services.publishableReviews(db, shop.id)
  const live = (await displaysOfShop(db, shop.id)).flatMap(({ live }) => live ?? [])
  const form = (await formsOfShop(db, shop.id)).find(({ open }) => open)
  const { name, shortName, logo, siteUrl, locale, customerLanguages } = shop
  return {
    shop: { name, shortName, logo, siteUrl, locale, customerLanguages, shades: brandShades(shop.brand) },
    received: reviewStates.reduce((sum, state) => sum + counts[state], 0),
    approved: counts.approved,
    undecided: counts.waiting + counts.held,
    declined: counts.declined,
    spam: counts.spam,
    counted: tallyOf(stock.filter(inAverages)),
    shown: stock.length,
    selections: [
      ...new Map(
        live
          .map(({ configuration }) => selectionFacts(configuration))
          .filter((facts) => facts.length > 0)
          .map((facts) => [JSON.stringify(facts), facts]),
      ).values(),
    ],
    writers: form?.writers ?? 'anyone',
    form: form ? `${publicUrl}/f/${form.slug}` : null,
  }
}
