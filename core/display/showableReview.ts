import type { Pickable } from '../curation/selection'
import type { Photo } from '../intake/candidate'
import type { ProofMethod } from '../proof/matchOrder'
import type { SiteStyle } from './theme'

/** A review that can be shown: approved, with consent. */
export interface ShowableReview extends Pickable {
  writtenPrecision: string
  title: string
  body: string
  authorName: string
  productTitle: string | null
  /** The time of the verified order; null without one. */
  boughtAt: string | null
  /** The method of the verification; null without one. */
  boughtBy: ProofMethod | 'reviewRequest' | 'manual' | null
  role: string
  company: string
  companyUrl: string
  relationship: string
  /** Link to the original, if visitors see it. */
  seenUrl: string
  /** Files of pictures; null if there is none. */
  portrait: string | null
  companyLogo: string | null
  photos: Photo[]
  /** The shop's public reply. */
  reply: { name: string; body: string } | null
}

/** The parts of a shop that its displays need. */
export interface DisplayShop {
  name: string
  shortName: string
  locale: string
  timeZone: string
  /** Titles of products by SKU. */
  products: Record<string, string>
  site: SiteStyle
}
