import { messageCode } from '../../messages/code'
import type { Reading } from '../reading'
import { placeOf } from '../reading'
import { quoted, type Place, type Signal } from '../signal'
import type { WordingModel } from '../wording/model'

/** The most that wording alone gives; held begins at 60. */
export const MOST_WORDING_POINTS = 72
/** Less than this is chance, and would stand beside every second review. */
const LEAST_WORDING_POINTS = 20
/** The most that wording takes off what other signs gave. */
export const MOST_WORDING_RELIEF = 12
/** Mean evidence of a word, in nats, times the root of their number: below it wording says nothing. */
const SPEAKS_FROM = 0.3
const POINTS_PER_NAT = 46
/** Fewer words than this say less: "Great quality, will buy again" is all of a kind and means no harm. */
const FULL_FROM_WORDS = 9
/** A word that is shown as a place weighs at least this, in nats. */
const SHOWN_FROM = 0.9
const SHOWN_AT_MOST = 8

/**
 * How much the words are those of texts nobody wants, by the model. The sum of the words' evidence over the root of
 * their number, so that a long text is not judged by its length.
 * @param relieves whether other signs gave points that it can take some off
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
  // What speaks for a customer is all over the text; only what speaks against it is pointed at.
  const places = points > 0 ? tellingPlaces(reading, weights) : []
  return {
    kind: 'wording',
    points,
    headline: messageCode(points > 0 ? 'signal.wording' : 'signal.wordingHonest'),
    detail: quoted(reading, places),
    places,
  }
}

/** The words that weighed most, neighbours joined, in the order of the text. */
function tellingPlaces({ words }: Reading, weights: number[]): Place[] {
  const telling = new Set(
    weights
      .map((weight, i) => ({ weight, i }))
      .filter(({ weight }) => weight >= SHOWN_FROM)
      .sort((a, b) => b.weight - a.weight || a.i - b.i)
      .slice(0, SHOWN_AT_MOST)
      .map(({ i }) => i),
  )
  const places: Place[] = []
  words.forEach((word, i) => {
    if (!telling.has(i)) return
    const last = places.at(-1)
    if (last && telling.has(i - 1) && last.field === word.field) last.end = word.end
    else places.push(placeOf(word))
  })
  return places
}
