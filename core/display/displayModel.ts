import { pick, type Pickable, type Selection } from '../curation/selection'
import { tallyOf, type RatingTally } from '../curation/ratingTally'
import { spokenMonth } from '../formats/dates'
import { litMarks } from '../formats/rating'
import { say } from '../words/say'
import { brandShades } from './brand'
import type { Configuration, Layout } from './configuration'
import { publicName } from './publicName'
import { sampleQuotations } from './samples'
import type { Quotation } from './quotation'

/** A review that may be shown: approved, and its writer agreed. */
export interface ShowableReview extends Pickable {
  publicId: string
  title: string
  body: string
  authorName: string
  language: string | null
  productTitle: string | null
  /** When the order that proves the purchase was placed; null when unproven. */
  boughtAt: string | null
  /** Written down by the shop for a customer: shown as such, counted in no average. */
  writtenDown: boolean
  role: string
  company: string
  companyUrl: string
  relationship: string
  /** Files of pictures; null for none. */
  portrait: string | null
  companyLogo: string | null
  /** The shop's public answer. */
  reply: { name: string; body: string } | null
}

/** The shop as its displays need it. */
export interface DisplayShop {
  name: string
  shortName: string
  locale: string
  timeZone: string
  /** Any CSS colour. */
  brand: string
}

/** All that a display's output is made from. */
export interface DisplayModel {
  shopName: string
  shortName: string
  locale: string
  heading: string
  layout: Layout
  /** The shop's own colour as it can be seen on white, as hex. */
  accent: string
  /** Of all that may be shown, not only of those picked. */
  tally: RatingTally
  /** How many may be shown in all. */
  stock: number
  quotations: Quotation[]
  writeUrl: string | null
}

/** Picks, orders and words what a display shows. */
export function displayModel({
  configuration,
  shop,
  reviews,
  writeUrl,
  mediaUrl,
  now,
  samples = false,
}: {
  configuration: Configuration
  shop: DisplayShop
  reviews: ShowableReview[]
  writeUrl: string | null
  /** Where pictures lie, without the file's name. */
  mediaUrl: string
  now: string
  /** Lets samples stand where no review does; for the owner's eyes only. */
  samples?: boolean
}): { model: DisplayModel; picked: ShowableReview[] } {
  const picked = pick(reviews, configuration.selection satisfies Selection)
  const model = {
    shopName: shop.name,
    shortName: shop.shortName,
    locale: shop.locale,
    heading: configuration.title.trim(),
    layout: configuration.layout,
    accent: brandShades(shop.brand).edge,
    tally: tallyOf(reviews.filter(({ writtenDown }) => !writtenDown)),
    stock: reviews.length,
    quotations:
      samples && reviews.length === 0
        ? sampleQuotations()
        : picked.map((review) => quotation(review, shop, mediaUrl, now)),
    writeUrl,
  }
  return { model, picked }
}

function quotation(review: ShowableReview, shop: DisplayShop, mediaUrl: string, now: string): Quotation {
  const at = (file: string | null) => file && `${mediaUrl}${file}`
  const when =
    review.boughtAt && spokenMonth(review.boughtAt, { now, timeZone: shop.timeZone, locale: shop.locale })
  return {
    publicId: review.publicId,
    marks: review.rating === null ? null : litMarks(review.rating),
    title: review.title.trim(),
    paragraphs: paragraphsOf(review.body),
    name: publicName(review.authorName),
    language: review.language,
    product: review.productTitle,
    proof: when ? say('display.boughtHere', { when }) : null,
    note: review.writtenDown ? say('display.writtenDown') : '',
    role: review.role,
    portrait: at(review.portrait),
    company: review.company
      ? { name: review.company, url: review.companyUrl || null, logo: at(review.companyLogo) }
      : null,
    relationship: review.relationship,
    reply: review.reply && { name: review.reply.name, paragraphs: paragraphsOf(review.reply.body) },
  }
}

function paragraphsOf(text: string): string[] {
  return text
    .split(/\n\s*\n/u)
    .map((part) => part.trim())
    .filter(Boolean)
}
