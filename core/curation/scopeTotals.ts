import { inAverages, type FacetCount } from './facets'
import { tallyOf, type RatingTally } from './ratingTally'
import { inScope } from './selection'

/** The ratings of customers in a scope, the number of all reviews in it, and that of each listing. */
export function scopeTotals(
  counts: FacetCount[],
  scope: string[] | null,
): { tally: RatingTally; publishableCount: number; byListing: Record<string, number> } {
  const within = counts.filter((one) => inScope(one, scope))
  const byListing: Record<string, number> = {}
  for (const { listing, count } of within)
    if (listing !== null) byListing[listing] = (byListing[listing] ?? 0) + count
  return {
    byListing,
    tally: tallyOf(within.filter(inAverages).map(({ rating, count }) => ({ rating, times: count }))),
    publishableCount: within.reduce((sum, { count }) => sum + count, 0),
  }
}
