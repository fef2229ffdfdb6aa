import { messageCode } from '../../messages/code'
import type { Reading } from '../reading'
import { placeOf } from '../reading'
import { quoted, type Place, type Signal } from '../signal'
import type { WordingModel } from '../wording/model'

/** The maximum of this signal; held begins at 60. */
export const MOST_WORDING_POINTS = 72
/** Fewer points are chance and would appear at every second review. */
const LEAST_WORDING_POINTS = 20
/** The maximum that it subtracts from other signals. */
export const MOST_WORDING_RELIEF = 12
/** Below this mean evidence of a word (in nats, times the square root of their number) there is no signal. */
const SPEAKS_FROM = 0.3
const POINTS_PER_NAT = 46
/** Shorter texts carry less evidence: "Great quality, will buy again" is harmless. */
const FULL_FROM_WORDS = 9
/** A word is marked from this evidence on, in nats. */
const SHOWN_FROM = 0.9
const SHOWN_AT_MOST = 8
/** A word is marked without its neighbours from this evidence on, in nats. */
const ALONE_FROM = 2.4
/** In words. */
const LONGEST_PHRASE = 6

/**
 * Scores the words of a review with the model: the sum of their evidence over the square root of their
 * number, so that the length of a text doesn't decide.
 * @param relieves whether other signals gave points to subtract from
 */
export function wordingSignal(reading: Reading, model: WordingModel, relieves: boolean): Signal | null {
  const { words } = reading
  if (words.length < 3) return null
  const weights = model.weights(words)
  let sum = 0
  for (const weight of weights) sum += weight
  const spoken = sum / Math.sqrt(words.length)
  const past = Math.abs(spoken) - SPEAKS_FROM
  if (past <= 0 || (spoken < 0 && !relieves)) return null
  const full = past * POINTS_PER_NAT * Math.min(1, words.length / FULL_FROM_WORDS)
  const points =
    spoken > 0
      ? Math.min(MOST_WORDING_POINTS, Math.round(full))
      : -Math.min(MOST_WORDING_RELIEF, Math.round(full))
  if (points === 0 || (points > 0 && points < LEAST_WORDING_POINTS)) return null
  // Evidence for a customer is everywhere in a text, so only evidence against is marked.
  const places = points > 0 ? tellingPlaces(reading, weights) : []
  return {
    kind: 'wording',
    points,
    headline: messageCode(points > 0 ? 'signal.wording' : 'signal.wordingHonest'),
    detail: points > 0 && places.length === 0 ? messageCode('signal.wordingWhole') : quoted(reading, places),
    places,
  }
}

/**
 * Phrases around the words with the most evidence, in the order of the text. A single everyday word ("best")
 * convinces nobody, so a word stands alone only if it is almost never a customer's.
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
    if (first === last && weights[seed]! < ALONE_FROM) continue
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
