import { isOfSite } from '../intake/sourcePolicy'
import { inAverages, type FacetCount, type Facets } from './facets'
import { tallyOf, type RatingTally } from './ratingTally'
import { hasFacetsOf, everything, type Selection } from './selection'

/** The parts of a selection that say where its reviews came from. */
export type About = Pick<Selection, 'sources' | 'listings' | 'forms'>

interface ScopeTotals {
  /** The ratings of customers in the scope. */
  tally: RatingTally
  /** The ratings that a selection is compared with. */
  compared: RatingTally
  /** All reviews in the scope, or those of the listings and forms that a display is about. */
  publishableCount: number
  /** Of these, the ones from other sites. */
  elsewhereCount: number
  byListing: Record<string, number>
}

/** Whether a selection has nothing but reviews of other sites. */
const onlySites = ({ sources, listings, forms }: About) =>
  forms.length === 0 && listings.length + sources.length > 0 && sources.every(isOfSite)

/** A display of listings, forms or other sites is about these; another one about the whole scope. */
function isAbout(about: About): (one: Facets) => boolean {
  const { sources, listings, forms } = about
  if (listings.length + forms.length === 0 && !onlySites(about)) return () => true
  return (one) => hasFacetsOf(one, { ...everything, sources, listings, forms })
}

/** The reviews whose ratings are compared: those of customers; in a display of nothing but other sites, theirs. */
export const isCompared = (about: About): ((one: Facets) => boolean) =>
  onlySites(about) ? ({ source }) => isOfSite(source) : inAverages

/** @param counts those of the scope */
export function scopeTotals(counts: FacetCount[], about: About = everything): ScopeTotals {
  const byListing: Record<string, number> = {}
  for (const { listing, count } of counts)
    if (listing !== null) byListing[listing] = (byListing[listing] ?? 0) + count
  const within = counts.filter(isAbout(about))
  return {
    byListing,
    tally: tally(counts.filter(inAverages)),
    compared: tally((onlySites(about) ? within : counts).filter(isCompared(about))),
    publishableCount: sumOf(within),
    elsewhereCount: sumOf(within.filter(({ source }) => isOfSite(source))),
  }
}

const sumOf = (counts: FacetCount[]) => counts.reduce((sum, { count }) => sum + count, 0)

const tally = (counts: FacetCount[]) => tallyOf(counts.map(({ rating, count }) => ({ rating, times: count })))
