import { lowOnes, type RatingTally } from './ratingTally'

/** With fewer rated reviews than this in all, nobody can say whether a pick is fair. */
export const ENOUGH_TO_JUDGE = 10
/** The distance from which a pick no longer stands for all, in marks. */
export const FAIR_WITHIN = 0.4

export type Verdict = 'tooFew' | 'empty' | 'fair' | 'rosier' | 'harsher' | 'lopsided'

export interface Fairness {
  verdict: Verdict
  /** How far the picked lie from all, in marks from 0 to 4; null when there is nothing to compare. */
  distance: number | null
}

/**
 * Compares a pick with all. The distance is the earth mover's distance (first Wasserstein distance) between the two
 * spreads over five marks: how many marks, on average, the picked would have to be moved for their spread to be that
 * of all. It equals the sum of the absolute differences between the cumulative shares (Vallender 1974).
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

function spreadDistance(a: RatingTally, b: RatingTally): number {
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

/** "1 in 7": how rare the low ones (3 or lower) are, as a whole number; null when there are none. */
export function oneIn(tally: RatingTally): number | null {
  const low = lowOnes(tally)
  return low === 0 ? null : Math.round(tally.count / low)
}
