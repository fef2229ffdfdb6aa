import { hashText } from '../plainWord'
import type { ReadWord } from '../reading'

/** Weights of a model; features share a weight if their hashes end alike. */
export const WEIGHTS = 1 << 17

const WORD = 1
const PAIR = 0.6
/** Divided by the square root of their number in a word. */
const PIECES = 0.5
const SHORTEST_PIECE = 3
const LONGEST_PIECE = 5
/** What is said again and again counts twice at most. */
const MAX_VALUE = 2

/** A feature of a text: its weight's position, its value, and the words that it belongs to. */
export interface TextFeature {
  key: number
  value: number
  first: number
  last: number
}

/**
 * Words, pairs of words and pieces of words (three to five letters with the edges), as a vector of length 1. Pieces
 * generalise to unseen words and to languages that are alike.
 */
export function featuresOf(words: ReadWord[]): { features: TextFeature[]; scale: number } {
  const sums = new Map<number, number>()
  const features: TextFeature[] = []
  const add = (key: number, value: number, first: number, last = first) => {
    const before = sums.get(key) ?? 0
    const after = Math.min(MAX_VALUE, before + value)
    if (after === before) return
    sums.set(key, after)
    features.push({ key, value: after - before, first, last })
  }
  words.forEach((word, i) => {
    const text = wordText(word)
    const { own, pieces } = keysOf(text)
    add(own, WORD, i)
    const next = words[i + 1]
    if (next) add(keyOf(`2${text} ${wordText(next)}`), PAIR, i, i + 1)
    const value = PIECES / Math.sqrt(Math.max(1, pieces.length / (LONGEST_PIECE - SHORTEST_PIECE + 1)))
    for (const piece of pieces) add(piece, value, i)
  })
  let squares = 0
  for (const value of sums.values()) squares += value * value
  return { features, scale: squares === 0 ? 1 : 1 / Math.sqrt(squares) }
}

/** Numbers are all the same, so that no amount is learnt. */
const wordText = ({ spelt, plain }: ReadWord) => {
  const text = spelt || plain
  return /^\d+$/.test(text) ? '0' : text
}

const keyOf = (text: string) => {
  const hash = hashText(text)
  return (hash ^ (hash >>> 15)) & (WEIGHTS - 1)
}

interface WordKeys {
  own: number
  pieces: number[]
}

/** A few thousand words recur. */
const known = new Map<string, WordKeys>()
const MAX_KNOWN = 20_000

function keysOf(text: string): WordKeys {
  const earlier = known.get(text)
  if (earlier) return earlier
  const edged = `<${text}>`
  const pieces: number[] = []
  for (let length = SHORTEST_PIECE; length <= LONGEST_PIECE; length++)
    for (let at = 0; at + length <= edged.length; at++) pieces.push(keyOf(`3${edged.slice(at, at + length)}`))
  const made = { own: keyOf(`1${text}`), pieces }
  if (known.size >= MAX_KNOWN) known.clear()
  known.set(text, made)
  return made
}
