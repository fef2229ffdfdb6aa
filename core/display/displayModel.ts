import type { RatingTally } from '../curation/ratingTally'
import { asksForRatings, ratedAmong, scopeOf, type Page } from '../curation/selection'
import { customerTranslate } from '../messages/customers'
import { customerLanguage } from '../messages/customers/languages'
import type { CustomerTranslate } from '../messages/customers/customerMessages'
import { bands, inBand, sentLimit, type Band } from './bands'
import type { BandChanges } from './bandSchema'
import type { Arrangement, Configuration, Heading, Parts } from './configuration'
import { resolveTheme, type ColourScheme, type ResolvedTheme } from './theme'
import type { Paging } from './paging'
import { effectiveCss, type EffectiveCss } from './ownCss'
import { paintedBy } from './ownCssContrast'
import { listingsOf, originSummaries, type OriginSummary, type ShownListing } from './origins'
import type { Quotation } from './quotation'
import { type DisplayShop, type ShowableReview } from './showableReview'
import { toQuotation } from './toQuotation'

/** The targets of links; null if there is none. */
interface DisplayLinks {
  write: string | null
  all: string
  how: string
}

/** The attributes of the embed code. */
export interface Asked extends Page {
  /** The site that a visitor reads by; `own` for the reviews that came to the shop. */
  origin?: string
  language?: string
  /** Counted from 1, for displays that are shown by pages. */
  page?: number
  scheme?: ColourScheme
}

/** Everything that a display's output is made from. */
export interface DisplayModel {
  shopName: string
  shortName: string
  /** The language of fixed texts, and the locale of numbers and dates. */
  language: string
  locale: string
  translate: CustomerTranslate
  title: string
  heading: Heading
  /** A data URL; null without one. */
  shopLogo: string | null
  layout: Arrangement
  parts: Parts
  theme: ResolvedTheme
  /** What differs in boxes of some widths, and the theme as it is there. */
  bands: Partial<Record<Band, { changes: BandChanges; theme: ResolvedTheme }>>
  /** The number of reviews that widths without one of their own show; null for all. */
  shownElsewhere: number | null
  /** What has an effect of the CSS that the owner wrote; null for none. */
  ownCss: EffectiveCss | null
  scheme: ColourScheme | null
  /** The product, if the display is about a single one. */
  product: { sku: string; title: string } | null
  /** All customers' ratings in its scope, not only the selected ones. */
  tally: RatingTally
  /** The ratings that its selection is compared with. */
  compared: RatingTally
  /** All publishable reviews in its scope; of a display of listings or forms, those of these. */
  publishableCount: number
  /** Of these, the ones from other sites. */
  elsewhereCount: number
  /** The ratings that all selected reviews have; null for any. */
  ratings: number[] | null
  quotations: Quotation[]
  /** Null if it isn't shown by pages. */
  paging: Paging | null
  /** Whether the quotations are samples, which only the editor shows. */
  hasSamples: boolean
  links: DisplayLinks
  /** The other sites in it. */
  origins: OriginSummary[]
  /** The business on another site, for the heading. */
  business: { name: string; picture: string | null } | null
  /** The address of the folder of shipped fonts. */
  fontsUrl: string
  /** The site that the visitor reads by; empty for all. */
  readBy: string
  whenEmpty: Configuration['whenEmpty']
}

/** Words the content of a display. */
export function displayModel({
  configuration,
  shop,
  picked,
  totals,
  links,
  mediaUrl,
  fontsUrl,
  paging = null,
  now,
  asked = {},
  samples = [],
}: {
  configuration: Configuration
  shop: DisplayShop
  /** The selected reviews in order. */
  picked: ShowableReview[]
  /** Of its scope. */
  totals: Pick<DisplayModel, 'tally' | 'compared' | 'publishableCount' | 'elsewhereCount'> & {
    byListing: Record<string, number>
  }
  links: DisplayLinks
  /** The address of the folder of pictures. */
  mediaUrl: string
  fontsUrl: string
  paging?: Paging | null
  now: string
  asked?: Asked
  /** Shown to the owner of a shop without publishable reviews; visitors never get them. */
  samples?: Quotation[]
}): DisplayModel {
  const { selection } = configuration
  const language = customerLanguage(asked.language ?? shop.locale) ?? 'en'
  const locale = customerLanguage(shop.locale) === language ? shop.locale : language
  const translate = customerTranslate(language)
  const skus = scopeOf(selection, asked)
  const { tally, compared, publishableCount, elsewhereCount, byListing } = totals
  const listings = listingsOf(shop.listings, selection)
  const theme = resolveTheme(configuration.theme, shop.site, asked.scheme ?? null)
  return {
    shopName: shop.name,
    shortName: shop.shortName,
    language,
    locale,
    translate,
    title: configuration.title.trim(),
    heading: configuration.heading,
    shopLogo: configuration.heading.shop === 'none' ? null : shop.logo,
    layout: configuration.layout,
    parts: configuration.parts,
    theme,
    bands: bandsOf(configuration, shop, asked),
    shownElsewhere:
      asked.limit === undefined && sentLimit(configuration) > selection.limit ? selection.limit : null,
    ownCss: effectiveCss(configuration.theme.css, paintedBy(theme, shop.site)),
    scheme: asked.scheme ?? null,
    product: skus?.length === 1 ? { sku: skus[0]!, title: shop.products[skus[0]!] ?? '' } : null,
    tally,
    compared,
    publishableCount,
    elsewhereCount,
    // Pinned reviews can have other ratings.
    ratings:
      asksForRatings(selection.ratings) && picked.every(({ rating }) => ratedAmong(rating, selection.ratings))
        ? selection.ratings
        : null,
    quotations:
      samples.length > 0
        ? samples
        : picked.map((review) =>
            toQuotation(review, configuration.parts, { shop, mediaUrl, now, translate, locale }),
          ),
    paging,
    hasSamples: samples.length > 0,
    links,
    origins: originSummaries(listings, byListing),
    business: businessOf(listings, configuration.heading.business, shop.logo, mediaUrl),
    fontsUrl,
    readBy: asked.origin ?? '',
    whenEmpty: configuration.whenEmpty,
  }
}

function bandsOf(configuration: Configuration, { site }: DisplayShop, asked: Asked): DisplayModel['bands'] {
  const styled = bands.flatMap((band) => {
    const changes = configuration.bands[band]
    const { theme } = inBand(configuration, band)
    return changes ? [[band, { changes, theme: resolveTheme(theme, site, asked.scheme ?? null) }]] : []
  })
  return Object.fromEntries(styled) as DisplayModel['bands']
}

function businessOf(
  listings: ShownListing[],
  form: Heading['business'],
  logo: string | null,
  mediaUrl: string,
): DisplayModel['business'] {
  const first = listings.find(({ isConnected }) => isConnected)
  if (!first || form === 'none') return null
  const picture = first.picture && `${mediaUrl}${first.picture}`
  return { name: first.name, picture: form === 'logo' ? logo : picture }
}
