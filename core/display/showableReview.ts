import type { Pickable } from '../curation/selection'
import type { AboutWriter, Photo } from '../intake/candidate'
import type { ReviewVersion } from '../intake/review'
import type { ProofMethod } from '../proof/matchOrder'
import type { ShownListing } from './origins'
import type { SiteStyle } from './theme'

/** A review that can be shown: approved, with consent. */
export interface ShowableReview
  extends
    Pickable,
    Pick<ReviewVersion, 'title' | 'body' | 'authorName' | 'writtenPrecision' | 'answers'>,
    Omit<AboutWriter, 'seenPublic'> {
  productTitle: string | null
  /** The time of the verified order; null without one. */
  boughtAt: string | null
  /** The method of the verification; null without one. */
  boughtBy: ProofMethod | 'reviewRequest' | 'manual' | null
  photos: Photo[]
  /** What its origin says of it; null for reviews that came to the shop. */
  posted: { origin: string; likes: number | null; claimsVerified: boolean } | null
  /** The shop's public reply. */
  reply: { name: string; body: string } | null
}

/** The parts of a shop that its displays need. */
export interface DisplayShop {
  name: string
  shortName: string
  locale: string
  timeZone: string
  /** Titles by SKU of the products that the display is about. */
  products: Record<string, string>
  /** By public id. */
  listings: Record<string, ShownListing>
  /** Names of its forms by public id, also of removed ones. */
  forms: Record<string, string>
  /** Of its forms, by id: as they are worded now, and whether visitors may read the answers. */
  questions: Record<string, { label: string; isPublic: boolean }>
  /** Names of the shop's looks by public id. */
  looks: Record<string, string>
  /** A data URL; null without one. */
  logo: string | null
  site: SiteStyle
}
