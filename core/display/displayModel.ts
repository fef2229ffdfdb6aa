import { tallyOf, type RatingTally } from '../curation/ratingTally'
import { asksForRatings, pick, reviewsInScope, scopeOf, type Page } from '../curation/selection'
import { memoOf } from '../formats/memo'
import { customerTranslate } from '../messages/customers'
import { customerLanguage } from '../messages/customers/languages'
import type { CustomerTranslate } from '../messages/customers/customerMessages'
import type { Arrangement, Configuration, Heading, Parts } from './configuration'
import { resolveTheme, type ColourScheme, type ResolvedTheme } from './theme'
import type { Quotation } from './quotation'
import { inAverages, type DisplayShop, type ShowableReview } from './showableReview'
import { toQuotation } from './toQuotation'

/** Where a display leads; null where there is nothing to lead to. */
export interface DisplayLinks {
  write: string | null
  all: string
  how: string
}

/** What the page that a display stands on asks for by its code. */
export interface Asked extends Page {
  language?: string
  scheme?: ColourScheme
}

/** All that a display's output is made from. */
export interface DisplayModel {
  shopName: string
  shortName: string
  /** The language of its fixed texts, and the locale of its numbers and dates. */
  language: string
  locale: string
  translate: CustomerTranslate
  title: string
  heading: Heading
  layout: Arrangement
  parts: Parts
  theme: ResolvedTheme
  scheme: ColourScheme | null
  /** The product that it is about, when it is one. */
  product: { sku: string; title: string } | null
  /** Of all customers' ratings in its scope, not only of those picked. */
  tally: RatingTally
  /** How many may be shown of its scope in all. */
  publishableCount: number
  /** The marks that it is narrowed to; null for any. */
  ratings: number[] | null
  quotations: Quotation[]
  links: DisplayLinks
  whenEmpty: Configuration['whenEmpty']
}

/** Picks, orders and words what a display shows. */
export function displayModel({
  configuration,
  shop,
  reviews,
  links,
  mediaUrl,
  now,
  asked = {},
  samples = [],
}: {
  configuration: Configuration
  shop: DisplayShop
  reviews: ShowableReview[]
  links: DisplayLinks
  /** Where pictures lie, without the file's name. */
  mediaUrl: string
  now: string
  asked?: Asked
  /** What an owner sees while there is no review; visitors never get them. */
  samples?: Quotation[]
}): { model: DisplayModel; picked: ShowableReview[]; scope: ShowableReview[] } {
  const { selection } = configuration
  const language = customerLanguage(asked.language ?? shop.locale) ?? 'en'
  const locale = customerLanguage(shop.locale) === language ? shop.locale : language
  const translate = customerTranslate(language)
  const skus = scopeOf(selection, asked)
  const scope = reviewsInScope(reviews, skus)
  const picked = pick(reviews, selection, asked)
  const model: DisplayModel = {
    shopName: shop.name,
    shortName: shop.shortName,
    language,
    locale,
    translate,
    title: configuration.title.trim(),
    heading: configuration.heading,
    layout: configuration.layout,
    parts: configuration.parts,
    theme: resolveTheme(configuration.theme, shop.site, asked.scheme ?? null),
    scheme: asked.scheme ?? null,
    product: skus?.length === 1 ? { sku: skus[0]!, title: shop.products[skus[0]!] ?? '' } : null,
    tally: memoOf(scope, 'tally', () => tallyOf(scope.filter(inAverages))),
    publishableCount: scope.length,
    ratings: asksForRatings(selection.ratings) ? selection.ratings : null,
    quotations:
      reviews.length === 0
        ? samples
        : picked.map((review) =>
            toQuotation(review, configuration.parts, { shop, mediaUrl, now, translate, locale }),
          ),
    links,
    whenEmpty: configuration.whenEmpty,
  }
  return { model, picked, scope }
}
