import { lowOnes, type RatingTally } from './ratingTally'

const ENOUGH_TO_JUDGE = 10
/** In stars. */
export const FAIR_WITHIN = 0.4

export type Verdict = 'tooFew' | 'empty' | 'fair' | 'rosier' | 'harsher' | 'lopsided'

export interface Fairness {
  verdict: Verdict
  /** In stars, 0 to 4; null if there is nothing to compare. */
  distance: number | null
}

/**
 * Compares selected ratings with all ratings. The distance is the earth mover's distance in stars, 0 to 4, computed as the
 * sum of absolute differences between the cumulative shares (Vallender 1974).
 */
export function fairnessOf(picked: RatingTally, all: RatingTally): Fairness {
  if (all.count < ENOUGH_TO_JUDGE) return { verdict: 'tooFew', distance: null }
  if (picked.count === 0) return { verdict: 'empty', distance: null }
  const distance = spreadDistance(picked, all)
  if (distance <= FAIR_WITHIN) return { verdict: 'fair', distance }
  const shift = meanMark(picked) - meanMark(all)
  if (Math.abs(shift) < distance / 2) return { verdict: 'lopsided', distance }
  return { verdict: shift > 0 ? 'rosier' : 'harsher', distance }
}

/** Earth mover’s distance of two mixes of ratings in stars, 0 to 4 (Vallender 1974). */
export function spreadDistance(a: RatingTally, b: RatingTally): number {
  let [sumA, sumB, distance] = [0, 0, 0]
  for (let mark = 0; mark < 4; mark++) {
    sumA += a.byMark[mark]! / a.count
    sumB += b.byMark[mark]! / b.count
    distance += Math.abs(sumA - sumB)
  }
  return distance
}

const meanMark = ({ byMark, count }: RatingTally) =>
  byMark.reduce((sum, times, i) => sum + times * (i + 1), 0) / count

/** 7 if one in seven ratings is 3 or lower; null if there are none. */
export function oneIn(tally: RatingTally): number | null {
  const low = lowOnes(tally)
  return low === 0 ? null : Math.round(tally.count / low)
}
