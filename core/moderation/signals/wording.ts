import { messageCode } from '../../messages/code'
import type { Reading } from '../reading'
import { placeOf } from '../reading'
import { quoted, type Place, type Signal, type SignalKind } from '../signal'
import type { WordingModel } from '../wording/model'
import { pitchOf } from '../wording/pitch'

/** The maximum of this signal: words alone hold a review back, but never mark it as spam. */
const MOST_WORDING_POINTS = 80
/** What the shop's own decisions add is told from here on. */
const LEAST_OWN_POINTS = 10
/** The maximum that it subtracts from other signals. */
const MOST_WORDING_RELIEF = 12
/**
 * Log-odds with their points; between them points grow evenly. At `held`, 1 of 100 honest texts of kinds that the
 * model has not met are held back (`npm run bench:wording`).
 */
export const HELD_LOG_ODDS = 0.7
const scale = { from: 0.2, held: HELD_LOG_ODDS, most: 2.5 }
const HELD_POINTS = 60
/** Fewer points are chance and would appear at every second review. */
const LEAST_WORDING_POINTS = 20
/** Evidence for a customer subtracts from here on. */
const RELIEF_FROM = -0.4
const RELIEF_PER_NAT = 10
const FEWEST_WORDS = 3
/** Shorter texts carry less evidence: "Great product, fast shipping" is harmless. */
const FULL_FROM_WORDS = 7
/** A word begins a phrase from this share of the log-odds on. */
const SHOWN_FROM = 0.05
const SHOWN_AT_MOST = 6
/** In words. */
const LONGEST_PHRASE = 6

/**
 * Scores the words of a review with the model. What other signals have given points for does not count again.
 * @param others the other signals of the review
 */
export function wordingSignal(reading: Reading, model: WordingModel, others: Signal[]): Signal | null {
  const { words } = reading
  if (words.length < FEWEST_WORDS) return null
  const whole = fullLogOdds(model, words)
  const counted = others.filter(({ points }) => points > 0)
  if (pointsAgainst(whole) < LEAST_WORDING_POINTS) {
    const relief = counted.length > 0 ? pointsFor(whole) : 0
    return relief === 0 ? null : signal(-relief, reading, [])
  }
  const ofWords = model.ofWords(words)
  const points = pointsAgainst(whole - countedAlready(words, ofWords, counted))
  if (points < LEAST_WORDING_POINTS) return null
  return withOwnPart(
    signal(points, reading, tellingPlaces(reading, ofWords)),
    points - sharedPoints(words, model),
  )
}

/** What the model would say without what the shop has taught. */
function sharedPoints(words: Reading['words'], model: WordingModel): number {
  const { untaught } = model
  return untaught ? pointsAgainst(fullLogOdds(untaught, words)) : Infinity
}

const fullLogOdds = (model: WordingModel, words: Reading['words']) =>
  model.logOdds(words) * Math.min(1, words.length / FULL_FROM_WORDS)

/** Says how many of the points come from the shop's own decisions, if it is a good part of them. */
function withOwnPart(found: Signal, own: number): Signal {
  if (!Number.isFinite(own) || own < LEAST_OWN_POINTS) return found
  const code = messageCode('signal.wordingOwn', { points: Math.min(own, found.points) })
  return { ...found, detail: found.detail === '' ? code : `${found.detail}\n${code}` }
}

const signal = (points: number, reading: Reading, places: Place[]): Signal => ({
  kind: 'wording',
  points,
  headline: points > 0 ? headlineOf(reading) : messageCode('signal.wordingHonest'),
  detail: points > 0 && places.length === 0 ? messageCode('signal.wordingWhole') : quoted(reading, places),
  places,
})

function headlineOf(reading: Reading): string {
  const pitch = pitchOf(reading)
  return messageCode(pitch ? `pitch.${pitch}` : 'signal.wording')
}

/** The evidence of words that other signals point at, of which theirs takes the place. */
function countedAlready(words: Reading['words'], ofWords: number[], counted: Signal[]): number {
  const places = counted.filter(({ kind }) => pointed.has(kind)).flatMap((signal) => signal.places)
  if (places.length === 0) return 0
  return words.reduce((sum, { field, start, end }, i) => {
    const isCounted = places.some((place) => place.field === field && start < place.end && place.start < end)
    return isCounted ? sum + Math.max(0, ofWords[i]!) : sum
  }, 0)
}

/** Signals of words; others, such as near-copies, point at the whole text. */
const pointed = new Set<SignalKind>(['link', 'contact', 'rival', 'code', 'machine'])

function pointsAgainst(logOdds: number): number {
  const { from, held, most } = scale
  if (logOdds <= from) return 0
  if (logOdds < held) return Math.floor((HELD_POINTS * (logOdds - from)) / (held - from))
  const above = (MOST_WORDING_POINTS - HELD_POINTS) * Math.min(1, (logOdds - held) / (most - held))
  return Math.round(HELD_POINTS + above)
}

const pointsFor = (logOdds: number) =>
  Math.max(0, Math.min(MOST_WORDING_RELIEF, Math.round((RELIEF_FROM - logOdds) * RELIEF_PER_NAT)))

/**
 * Phrases around the words with the most evidence, in the order of the text. A single word ("best") convinces
 * nobody, so it is marked only with a neighbour.
 */
function tellingPlaces({ words }: Reading, weights: number[]): Place[] {
  const seeds = weights
    .map((weight, i) => ({ weight, i }))
    .filter(({ weight }) => weight >= SHOWN_FROM)
    .sort((a, b) => b.weight - a.weight || a.i - b.i)
    .slice(0, SHOWN_AT_MOST)
    .map(({ i }) => i)
  const inPhrase = new Set<number>()
  const isNext = (i: number, seed: number) => words[i]?.field === words[seed]!.field && weights[i]! > 0
  for (const seed of seeds) {
    let [first, last] = [seed, seed]
    while (last - first < LONGEST_PHRASE - 1 && isNext(first - 1, seed)) first--
    while (last - first < LONGEST_PHRASE - 1 && isNext(last + 1, seed)) last++
    if (first === last) continue
    for (let i = first; i <= last; i++) inPhrase.add(i)
  }
  const places: Place[] = []
  words.forEach((word, i) => {
    if (!inPhrase.has(i)) return
    const last = places.at(-1)
    if (last && inPhrase.has(i - 1) && last.field === word.field) last.end = word.end
    else places.push(placeOf(word))
  })
  return places
}
