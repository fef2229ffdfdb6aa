import { sourcePolicies, type Source } from '../intake/sourcePolicy'

/** The properties of a review that selections and averages depend on. Ratings are hundredths of five stars. */
export interface Facets {
  rating: number | null
  productSku: string | null
  source: Source
  language: string | null
  verified: boolean
  hasText: boolean
  /** One that visitors see. */
  hasPhoto: boolean
  /** The public id of the listing that it stands on; null for others. */
  listing: string | null
  /** The public id of the form that it came through; null for others. */
  form: string | null
}

/** How many reviews have equal facets. */
export interface FacetCount extends Facets {
  count: number
}

/** Only customers' own reviews count in averages. */
export const inAverages = ({ source }: Pick<Facets, 'source'>): boolean => sourcePolicies[source].inAverages
