import type { Pickable } from '../curation/selection'
import type { Photo } from '../intake/candidate'
import type { ProofMethod } from '../proof/matchOrder'
import type { SiteStyle } from './theme'

/** A review that may be shown: approved, and its writer agreed. */
export interface ShowableReview extends Pickable {
  writtenPrecision: string
  title: string
  body: string
  authorName: string
  productTitle: string | null
  /** When the order that proves the purchase was placed; null when unproven. */
  boughtAt: string | null
  /** What proves the purchase; null when nothing does. */
  boughtBy: ProofMethod | 'reviewRequest' | 'manual' | null
  role: string
  company: string
  companyUrl: string
  relationship: string
  /** Files of pictures; null for none. */
  portrait: string | null
  companyLogo: string | null
  photos: Photo[]
  /** The shop's public answer. */
  reply: { name: string; body: string } | null
}

/** Written by a customer: what the shop wrote down counts in no average. */
export const inAverages = ({ source }: Pick<Pickable, 'source'>): boolean => source !== 'manualEntry'

/** The shop as its displays need it. */
export interface DisplayShop {
  name: string
  shortName: string
  locale: string
  timeZone: string
  /** Names of products by SKU. */
  products: Record<string, string>
  site: SiteStyle
}
