import type { ReadWord } from '../reading'
import { WEIGHTS, withFeatures } from './features'
import type { Taught, Verdict, WordingModel } from './model'

export interface Lesson {
  words: ReadWord[]
  verdict: Verdict
}

const EPOCHS = 20
const RATE = 0.5
/** Of the squared weights: what few texts say counts little. */
const PENALTY = 0.003
const SEED = 7

interface Example {
  keys: number[]
  values: number[]
  isSpam: boolean
}

const exampleOf = ({ words, verdict }: Lesson): Example =>
  withFeatures(words, (keys, values, scale) => ({
    keys: [...keys],
    values: Array.from(keys, (_key, i) => values[i]! * scale),
    isSpam: verdict === 'spam',
  }))

/**
 * Trains weights by stochastic gradient descent with a rate for each weight (Duchi, Hazan and Singer, "Adaptive
 * Subgradient Methods", 2011). Both verdicts count the same, however many texts they have. The same lessons give
 * the same weights.
 */
export function train(lessons: Lesson[]): { bias: number; weights: Float64Array } {
  const examples = lessons.map(exampleOf)
  const spam = examples.filter(({ isSpam }) => isSpam).length
  const share = {
    spam: examples.length / (2 * spam),
    honest: examples.length / (2 * (examples.length - spam)),
  }
  const weights = new Float64Array(WEIGHTS)
  const squares = new Float64Array(WEIGHTS).fill(1e-6)
  let bias = 0
  let biasSquares = 1e-6
  const random = randomFrom(SEED)
  for (let epoch = 0; epoch < EPOCHS; epoch++)
    for (const { keys, values, isSpam } of shuffled(examples, random)) {
      let logOdds = bias
      for (let i = 0; i < keys.length; i++) logOdds += weights[keys[i]!]! * values[i]!
      const error = (probability(logOdds) - (isSpam ? 1 : 0)) * (isSpam ? share.spam : share.honest)
      for (let i = 0; i < keys.length; i++) {
        const key = keys[i]!
        const slope = error * values[i]! + PENALTY * weights[key]!
        squares[key]! += slope * slope
        weights[key]! -= (RATE / Math.sqrt(squares[key]!)) * slope
      }
      biasSquares += error * error
      bias -= (RATE / Math.sqrt(biasSquares)) * error
    }
  return { bias, weights }
}

const OWN_EPOCHS = 12
/** How far a first lesson moves a weight; so many squared slopes later, half as far. */
const OWN_RATE = 2.5
const OWN_SQUARES = 0.01
/** The bias moves little: a few lessons say nothing about texts of all kinds. */
const OWN_BIAS_RATE = 0.01
/**
 * Log-odds that a lesson asks for. What is beyond them already teaches nothing, so that hundreds of approved reviews
 * that nobody suspected do not make the model blind.
 */
const SPAM_FROM = 1.5
const HONEST_UP_TO = -0.3
/** Many lessons of both verdicts ask for more: so many of the rarer one for a distance of 1 more on both sides. */
const LESSONS_FOR_MORE = 200
const MOST_MORE = 3

/**
 * What a shop's own decisions change in a model: each lesson that the model does not judge clearly enough moves it by
 * how much is missing (Crammer et al., "Online Passive-Aggressive Algorithms", 2006), with rates as in `train`. It
 * depends only on the lessons and their order, so that leaving one out unteaches exactly what it taught.
 */
export function taughtBy(model: WordingModel, lessons: Lesson[]): Taught {
  const taught: Taught = { bias: 0, weights: new Map() }
  const squares = new Map<number, number>()
  const examples = lessons.map((lesson) => ({ ...exampleOf(lesson), shared: model.logOdds(lesson.words) }))
  const spam = lessons.filter(({ verdict }) => verdict === 'spam').length
  const more = Math.min(MOST_MORE, Math.min(spam, lessons.length - spam) / LESSONS_FOR_MORE)
  const random = randomFrom(SEED)
  for (let epoch = 0; epoch < OWN_EPOCHS; epoch++)
    for (const { keys, values, isSpam, shared } of shuffled(examples, random)) {
      let logOdds = shared + taught.bias
      for (let i = 0; i < keys.length; i++) logOdds += (taught.weights.get(keys[i]!) ?? 0) * values[i]!
      const missing = isSpam ? SPAM_FROM + more - logOdds : logOdds - HONEST_UP_TO + more
      if (missing <= 0) continue
      const error = Math.min(1, missing) * (isSpam ? -1 : 1)
      for (let i = 0; i < keys.length; i++) {
        const key = keys[i]!
        const slope = error * values[i]!
        const sum = (squares.get(key) ?? OWN_SQUARES) + slope * slope
        squares.set(key, sum)
        const rate = OWN_RATE * Math.sqrt(OWN_SQUARES / sum)
        taught.weights.set(key, (taught.weights.get(key) ?? 0) - rate * slope)
      }
      taught.bias -= OWN_BIAS_RATE * error
    }
  return taught
}

export const probability = (logOdds: number): number => 1 / (1 + Math.exp(-logOdds))

/** A linear congruential generator (Knuth, "The Art of Computer Programming", volume 2). */
export function randomFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) | 0
    return (state >>> 0) / 2 ** 32
  }
}

function shuffled<T>(list: T[], random: () => number): T[] {
  const copy = [...list]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[copy[i], copy[j]] = [copy[j]!, copy[i]!]
  }
  return copy
}
