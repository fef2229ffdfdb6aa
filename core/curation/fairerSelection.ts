import { litMarks } from '../formats/rating'
import { FAIR_WITHIN, fairnessOf, spreadDistance } from './fairness'
import type { RatingTally } from './ratingTally'

const ROUNDING = 1e-9

type Marks = RatingTally['byMark']

/** One review instead of another; both by their public ids. */
export interface Swap {
  out: string
  in: string
}

/** A rated review that counts in averages; `rating` in hundredths of five stars. */
export interface Swappable {
  publicId: string
  rating: number
}

/**
 * The smallest change that makes a misleading selection fair: the fewest swaps of shown reviews for others, and among
 * those the one with the smallest distance to all ratings. Null if the selection is fair, or cannot become fair.
 * Found by search over the mixes of ratings within reach (branch and bound).
 * @param shown those that may go, the last to go first
 * @param fixed the ratings of those that must stay
 * @param others those that may come, the best first
 */
export function fairerSelection(
  { shown, fixed, others }: { shown: Swappable[]; fixed: Swappable[]; others: Swappable[] },
  all: RatingTally,
): Swap[] | null {
  const going = byMark(shown)
  const staying = countsOf(byMark(fixed))
  const coming = byMark(others)
  const now = countsOf(going).map((count, i) => count + staying[i]!) as Marks
  if (['fair', 'tooFew', 'empty'].includes(fairnessOf(tally(now), all).verdict)) return null
  const target = nearestFair(now, staying, countsOf(coming), all)
  if (!target) return null
  const out = target.flatMap((count, i) => going[i]!.slice(0, Math.max(0, now[i]! - count)))
  const into = target.flatMap((count, i) => coming[i]!.slice(0, Math.max(0, count - now[i]!)))
  return out.map((publicId, i) => ({ out: publicId, in: into[i]! }))
}

/** The mix of ratings that is fair, with the fewest changes and then the smallest distance. */
function nearestFair(now: Marks, staying: Marks, coming: Marks, all: RatingTally): Marks | null {
  const count = sum(now)
  let best: { mix: Marks; swaps: number; distance: number } | null = null
  const isWorse = (swaps: number, distance: number) =>
    distance > FAIR_WITHIN ||
    (best !== null && (swaps > best.swaps || (swaps === best.swaps && distance >= best.distance)))
  // Both sums only grow from mark to mark, so what is worse already is left at once.
  const extend = (before: number[], swaps: number, distance: number, share: number) => {
    const mark = before.length
    const rest = count - sum(before)
    const [least, most] = [staying[mark]!, now[mark]! + coming[mark]!]
    for (let times = mark === 4 ? rest : least; times <= Math.min(most, rest); times++) {
      if (times < least) continue
      const swapped = swaps + Math.max(0, times - now[mark]!)
      const ahead = share + times / count - all.byMark[mark]! / all.count
      const mix = [...before, times]
      // Sums in another order differ in the last digit, so the judge's own figure decides.
      const moved =
        mark === 4 ? spreadDistance(tally(mix as Marks), all) : distance + Math.abs(ahead) - ROUNDING
      if (isWorse(swapped, moved)) continue
      if (mark === 4) best = { mix: mix as Marks, swaps: swapped, distance: moved }
      else extend(mix, swapped, moved, ahead)
    }
  }
  extend([], 0, 0, 0)
  return (best as { mix: Marks } | null)?.mix ?? null
}

function byMark(reviews: Swappable[]): string[][] {
  const ids: string[][] = [[], [], [], [], []]
  for (const { publicId, rating } of reviews) ids[litMarks(rating) - 1]!.push(publicId)
  return ids
}

const sum = (counts: number[]) => counts.reduce((total, count) => total + count, 0)

const countsOf = (ids: string[][]) => ids.map(({ length }) => length) as Marks

const tally = (mix: Marks): RatingTally => ({
  byMark: mix,
  count: sum(mix),
  average: null,
})
