import type { ArrivalLine, Remembered } from './arrivalLine'
import { expected, type Habit } from './habit'
import { sharedBits } from './sharedBits'
import { binomialEvidence, unevenPoissonEvidence } from './tails'
import { traitNames, traits, type RatingClass, type Trait } from './traits'

/*
 * Attacks. For each arrival, those shortly before with the same kind of rating are counted by what they share with it.
 * A trait is evidence as far as both its share among them and its rate are unlikely by the shop's own habit; newsletters
 * and sales raise the rate of all traits, and quiet days change shares by chance. The evidence of the traits is added
 * up, as Fisher does with independent tests ("Statistical Methods for Research Workers", 1925), and compared with a
 * limit for one false alarm in a hundred months of the shop (Bonferroni).
 */

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
/**
 * With the factor by which the busiest such time exceeds the average, and the maximum evidence of low ratings alone:
 * honest anger takes days to gather.
 */
const WINDOWS = [
  { span: HOUR_MS, peak: 3, mostForLow: 8 },
  { span: 6 * HOUR_MS, peak: 2, mostForLow: 8 },
  { span: DAY_MS, peak: 1.6, mostForLow: 4 },
  { span: 3 * DAY_MS, peak: 1.3, mostForLow: 4 },
  { span: 7 * DAY_MS, peak: 1, mostForLow: 4 },
]
export const LONGEST_MS = WINDOWS.at(-1)!.span

/** With the arrival itself. */
export const MIN_CROWD_SIZE = 6
/** Reviews of the latest that wording is compared with; more share some by chance. */
export const MAX_COMPARED_FOR_WORDS = 40
/** How uneven days are, see `unevenPoissonEvidence`. */
const EVENNESS = 3
/** Chance alone gives each trait one nat on average. */
const CHANCE_NATS = 1
/** Customers of one crowd are somewhat alike (Kish, "Survey Sampling", 1965: the design effect). */
const LIKENESS = 0.02
/** Others that have to share a trait. */
const MIN_SHARING = 3
const MIN_HARD_NATS = 6
const MIN_TOLD_NATS = 1
/** A longer window takes in arrivals from before the attack. */
const MIN_GAIN_OF_LONGER = 2
const TESTS_OF_AN_ARRIVAL = 8
const MONTHS_PER_FALSE_ALARM = 100
/** Windows overlap and arrivals follow each other, so the tests are fewer than they are counted. */
const CORRELATION_NATS = 3
const MIN_HISTORY_FOR_CONFIDENCE = 20
const EXTRA_NATS_WITH_SHORT_HISTORY = 3

export interface Finding {
  /** In nats, see `limitOf`. */
  evidence: number
  /** Position of the first arrival of the window. */
  from: number
  shared: { trait: Trait; weight: number }[]
}

/**
 * The window before an arrival with the most evidence for an attack.
 * @param line the arrivals in the order of time
 * @param first the position of the first that counts
 * @param end the position after the last that came before
 */
export function strongestWindow(
  one: Remembered,
  line: Remembered[],
  { first, end }: { first: number; end: number },
  habit: Habit,
): Finding | null {
  const counts = new Array<number>(traitNames.length).fill(0)
  const countsOfOthers = new Array<number>(traitNames.length).fill(0)
  let [ofClass, window] = [0, 0]
  let best: Finding | null = null
  for (let i = end - 1; ; i--) {
    const other = i >= first ? line[i]! : null
    while (window < WINDOWS.length && (!other || other.at <= one.at - WINDOWS[window]!.span)) {
      const found = evidenceIn(
        one,
        { counts, countsOfOthers, ofClass, all: end - i - 1 },
        WINDOWS[window++]!,
        habit,
      )
      if (found && found.evidence > (best ? best.evidence + MIN_GAIN_OF_LONGER : 0))
        best = { ...found, from: i + 1 }
      if (!other) break
    }
    if (!other) return best
    const isOfClass = other.low === one.low && !other.verified
    if (isOfClass) ofClass++
    else if (!one.low) continue
    for (let bits = sharedBits(one, other), t = 0; bits !== 0; bits >>>= 1, t++) {
      if ((bits & 1) === 0 || (t === WORDS && ofClass > MAX_COMPARED_FOR_WORDS)) continue
      if (isOfClass) counts[t]!++
      else countsOfOthers[t]!++
    }
  }
}

/** Whether enough arrivals share enough with one for an attack, whatever is usual. Excludes most arrivals cheaply. */
export function mayBeAttack(
  one: Remembered,
  { all: line, traitCounts }: ArrivalLine,
  first: number,
  end: number,
): boolean {
  ofClass.fill(0)
  ofOthers.fill(0)
  let members = 0
  for (let i = first; i < end; i++) {
    const other = line[i]!
    const isOfClass = other.low === one.low && !other.verified
    if (isOfClass) members++
    const counts = isOfClass ? ofClass : ofOthers
    for (let bits = sharedBits(one, other), t = 0; bits !== 0; bits >>>= 1, t++) counts[t]! += bits & 1
  }
  const others = Math.max(1, end - first - members)
  let most = 0
  for (let t = 0; t < traitNames.length; t++) {
    if (!(one.low ? hardForLow : hardForOthers)[t] || ofClass[t]! < MIN_SHARING) continue
    const share = ofClass[t]! / members
    // What is as frequent among the other ratings, or was at any time, is usual.
    if (one.low && share <= ofOthers[t]! / others) continue
    if (share <= (1.02 * traitCounts[t]!) / line.length) continue
    most += traits[traitNames[t]!].most[one.low ? 'low' : 'other']
  }
  return most >= MIN_HARD_NATS
}
const ofClass = new Uint16Array(traitNames.length)
const ofOthers = new Uint16Array(traitNames.length)

interface Counts {
  /** Of arrivals with the same kind of rating, by the position in `traitNames`. */
  counts: number[]
  countsOfOthers: number[]
  ofClass: number
  all: number
}

function evidenceIn(
  { low }: Remembered,
  { counts, countsOfOthers, ofClass, all }: Counts,
  { span, peak, mostForLow }: (typeof WINDOWS)[number],
  habit: Habit,
): Omit<Finding, 'from'> | null {
  if (ofClass < MIN_CROWD_SIZE - 1) return null
  const kind: RatingClass = low ? 'low' : 'other'
  const beyondChance = (count: number, trials: number, share: number, mean: number) =>
    Math.max(
      0,
      Math.min(
        binomialEvidence(count, trials, share) / (1 + (trials - 1) * LIKENESS),
        unevenPoissonEvidence(count, mean, EVENNESS),
      ) - CHANCE_NATS,
    )
  const shared: Finding['shared'] = []
  traitNames.forEach((trait, t) => {
    const share = low
      ? Math.max(habit.ofTraits[t]!, amongOthers(countsOfOthers[t]!, all - ofClass, habit.ofTraits[t]!))
      : habit.ofTraits[t]!
    const trials = t === WORDS ? Math.min(ofClass, MAX_COMPARED_FOR_WORDS) : ofClass
    if (counts[t]! < MIN_SHARING || counts[t]! <= share * trials) return
    const mean = peak * expected(span, share, habit)
    // A group at one address whose ratings are as mixed as usual is no attack.
    const among = low
      ? binomialEvidence(counts[t]!, counts[t]! + countsOfOthers[t]!, habit.ofClass)
      : Infinity
    const weight = Math.min(traits[trait].most[kind], among, beyondChance(counts[t]!, trials, share, mean))
    if (weight >= MIN_TOLD_NATS) shared.push({ trait, weight })
  })
  // An address is in its network.
  const machine = shared.filter(({ trait }) => trait === 'address' || trait === 'network')
  if (machine.length === 2)
    shared.splice(shared.indexOf(machine.reduce((a, b) => (a.weight < b.weight ? a : b))), 1)
  const hard = shared.filter(({ trait }) => isHard(trait, kind))
  if (sumOf(hard) < MIN_HARD_NATS) return null
  const excess = low
    ? Math.min(mostForLow, beyondChance(ofClass, all, habit.ofClass, peak * expected(span, 1, habit)))
    : 0
  return {
    evidence: excess + sumOf(shared),
    shared: shared.sort((a, b) => b.weight - a.weight),
  }
}

/** Evidence from which on an attack is certain enough, in nats. */
export function limitOf({ rate, known }: Habit): number {
  const inMonth = rate * 30 * DAY_MS + 10
  const extra = known < MIN_HISTORY_FOR_CONFIDENCE ? EXTRA_NATS_WITH_SHORT_HISTORY : 0
  return Math.log(inMonth * TESTS_OF_AN_ARRIVAL * MONTHS_PER_FALSE_ALARM) - CORRELATION_NATS + extra
}

/** The share of a trait among the other ratings of a window, with what is usual for want of many. */
const amongOthers = (count: number, others: number, usual: number) =>
  (count + OTHERS_PRIOR * usual) / (others + OTHERS_PRIOR)
const OTHERS_PRIOR = 8

const sumOf = (shared: Finding['shared']) => shared.reduce((sum, { weight }) => sum + weight, 0)

const isHard = (trait: Trait, kind: RatingClass) =>
  (traits[trait].hard as readonly RatingClass[]).includes(kind)

const hardForLow = traitNames.map((trait) => isHard(trait, 'low'))
const hardForOthers = traitNames.map((trait) => isHard(trait, 'other'))

const WORDS = traitNames.indexOf('words')
