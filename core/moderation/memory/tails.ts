/* Upper tails of counts, as evidence in nats: -ln P(C >= count). Finite for all means and counts. */

/**
 * Of a binomial distribution.
 * @param share the probability of each of `trials`, above 0 and below 1
 */
export function binomialEvidence(count: number, trials: number, share: number): number {
  if (count <= trials * share) return 0
  let log = 0
  for (let k = 1; k <= count; k++) log += Math.log((trials - count + k) / k)
  log += count * Math.log(share) + (trials - count) * Math.log1p(-share)
  const odds = share / (1 - share)
  return evidenceFrom(log, count, (k) => ((trials - k) / (k + 1)) * odds)
}

/**
 * Of a negative binomial distribution: a Poisson distribution whose mean varies from day to day (Greenwood and Yule,
 * "An inquiry into the nature of frequency distributions", 1920).
 * @param shape the variance of the mean is mean² / shape
 */
export function unevenPoissonEvidence(count: number, mean: number, shape: number): number {
  if (count <= mean) return 0
  const share = mean / (mean + shape)
  let log = shape * Math.log1p(-share)
  for (let k = 0; k < count; k++) log += Math.log(((k + shape) / (k + 1)) * share)
  return evidenceFrom(log, count, (k) => ((k + shape) / (k + 1)) * share)
}

/**
 * Adds up the terms of a tail relative to its first, so that nothing underflows.
 * @param logFirst the logarithm of the term of `first`
 * @param ratio of the term after k to that of k; below 1
 */
function evidenceFrom(logFirst: number, first: number, ratio: (k: number) => number): number {
  let [sum, term] = [1, 1]
  for (let k = first; term > sum * 1e-9; k++) {
    term *= ratio(k)
    sum += term
  }
  return Math.max(0, -logFirst - Math.log(sum))
}
