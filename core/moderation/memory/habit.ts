import type { Remembered } from './arrivalLine'
import { sharedBits } from './sharedBits'
import { traitNames, traits } from './traits'

const DAY_MS = 86_400_000
const MAX_COMPARED = 300
/** Reviews of the shop that what is usual elsewhere is worth. */
const PRIOR_WEIGHT = 8
const USUALLY_LOW = 0.15

/** What was usual at a shop before some moment, with one arrival in mind. */
export interface Habit {
  /** Reviews in a millisecond. */
  rate: number
  /** Share of reviews with its kind of rating. */
  ofClass: number
  /** Share of those that share each trait with it, by the position in `traitNames`. */
  ofTraits: number[]
  /** Reviews that it is known from. */
  known: number
}

/**
 * Shares are one standard deviation above their estimate, so that little history makes nothing unusual. What came in
 * earlier attacks is left out.
 * @param line the arrivals in the order of time
 * @param end the position after the last that counts
 * @param from the position of the first for the rate
 */
export function habitOf(one: Remembered, line: Remembered[], from: number, end: number): Habit {
  const counts = new Array<number>(traitNames.length).fill(0)
  const countsOfClass = new Array<number>(traitNames.length).fill(0)
  let [all, ofClass, akin, compared] = [0, 0, 0, 0]
  // Network addresses are deleted after some weeks.
  let [placed, placedOfClass] = [0, 0]
  for (let i = end - 1; i >= from && all < MAX_COMPARED; i--) {
    const other = line[i]!
    if (other.inAttack) continue
    all++
    if (other.low === one.low) ofClass++
    if (other.network !== 0) {
      placed++
      if (other.low === one.low) placedOfClass++
    }
    if (other.akinShare !== null) {
      akin += other.akinShare
      compared++
    }
    for (let bits = sharedBits(one, other), t = 0; bits !== 0; bits >>>= 1, t++) {
      if ((bits & 1) === 0) continue
      counts[t]!++
      if (other.low === one.low) countsOfClass[t]!++
    }
  }
  const smoothed = (hits: number, of: number, usual: number) =>
    (hits + PRIOR_WEIGHT * usual) / (of + PRIOR_WEIGHT)
  const cautious = (share: number, of: number) =>
    Math.min(0.95, share + Math.sqrt((share * (1 - share)) / (of + PRIOR_WEIGHT)))
  const ofTraits = traitNames.map((trait, t) => {
    if (trait === 'words') return cautious(smoothed(akin, compared, traits.words.usual), compared)
    const isPlace = trait === 'network' || trait === 'address'
    const share = smoothed(counts[t]!, isPlace ? placed : all, traits[trait].usual)
    const known = isPlace ? placedOfClass : ofClass
    return cautious(smoothed(countsOfClass[t]!, known, share), known)
  })
  const days = end > from ? line[end - 1]!.at - line[from]!.at : 0
  return {
    // Assumes one review a day where there is no history yet.
    rate: (end - from + 2) / (days + 2 * DAY_MS),
    ofClass: cautious(smoothed(ofClass, all, one.low ? USUALLY_LOW : 1 - USUALLY_LOW), all),
    ofTraits,
    known: all,
  }
}

/** How many of a kind of rating with some share of traits usually come in a time, in milliseconds. */
export const expected = (span: number, share: number, { rate, ofClass }: Habit) =>
  rate * span * ofClass * share
