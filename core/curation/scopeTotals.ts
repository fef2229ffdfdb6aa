import { inAverages, type FacetCount } from './facets'
import { tallyOf, type RatingTally } from './ratingTally'
import { inScope } from './selection'

/** The ratings of customers in a scope, and the number of all reviews in it. */
export function scopeTotals(
  counts: FacetCount[],
  scope: string[] | null,
): { tally: RatingTally; publishableCount: number } {
  const within = counts.filter((one) => inScope(one, scope))
  return {
    tally: tallyOf(within.filter(inAverages).map(({ rating, count }) => ({ rating, times: count }))),
    publishableCount: within.reduce((sum, { count }) => sum + count, 0),
  }
}
