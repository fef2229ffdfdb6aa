import { hashText } from '../plainWord'
import type { ReadWord } from '../reading'

/** Weights of a model; features share a weight if their hashes end alike. */
export const WEIGHTS = 1 << 18

const WORD = 1
const PAIR = 0.6
/** Divided by the square root of their number in a word. */
const PIECES = 0.5
const SHORTEST_PIECE = 3
const LONGEST_PIECE = 5
const PIECE_LENGTHS = LONGEST_PIECE - SHORTEST_PIECE + 1
/** What is said again and again counts twice at most. */
const MAX_VALUE = 2

/** The features of one word: itself and its pieces, which all have the same value. */
export interface WordFeatures {
  own: number
  pieces: number[]
  pieceValue: number
}

/** The sums of values by key. They are in use between `addUp` and `clear` only, so that nothing is allocated. */
const sums = new Float32Array(WEIGHTS)
/** The sums, limited; only those of touched keys are valid. */
const values = new Float32Array(WEIGHTS)
const touched: number[] = []

function add(key: number, value: number): void {
  if (sums[key] === 0) touched.push(key)
  sums[key]! += value
}

/**
 * Words, pairs of words and pieces of words (three to five letters with the edges), as a vector of length 1. Pieces
 * generalise to unseen words and to languages that are alike.
 * @param read is called with the keys, the values by key, and what to multiply these by
 */
export function withFeatures<T>(
  words: ReadWord[],
  read: (keys: readonly number[], values: Float32Array, scale: number) => T,
): T {
  for (let i = 0; i < words.length; i++) {
    const { own, pieces, pieceValue } = wordFeatures(words[i]!)
    add(own, WORD)
    if (i + 1 < words.length) add(pairKey(words[i]!, words[i + 1]!), PAIR)
    for (const piece of pieces) add(piece, pieceValue)
  }
  let squares = 0
  for (let i = 0; i < touched.length; i++) {
    const value = Math.min(MAX_VALUE, sums[touched[i]!]!)
    values[touched[i]!] = value
    squares += value * value
  }
  try {
    return read(touched, values, squares === 0 ? 1 : 1 / Math.sqrt(squares))
  } finally {
    for (const key of touched) sums[key] = 0
    touched.length = 0
  }
}

/**
 * How much of a word's own features is in the vector: all, or less of those that are said again and again.
 * @param weightOf the weight of a key
 */
export function sumOfWord(word: ReadWord, next: ReadWord | undefined, weightOf: (key: number) => number) {
  const part = (key: number, of: number) => (weightOf(key) * of * values[key]!) / sums[key]!
  const { own, pieces, pieceValue } = wordFeatures(word)
  let alone = part(own, WORD)
  for (const piece of pieces) alone += part(piece, pieceValue)
  return { alone, pair: next ? part(pairKey(word, next), PAIR) : 0 }
}

const keyOf = (hash: number) => (hash ^ (hash >>> 15)) & (WEIGHTS - 1)

/** Numbers are all the same, so that no amount is learnt. */
const NUMBER = hashText('0')
const hashOf = ({ spelt, plain, speltHash, hash }: ReadWord) =>
  isNumber(spelt || plain) ? NUMBER : spelt ? speltHash : hash

/** The first character tells most words apart. */
const isNumber = (text: string) => text.charCodeAt(0) < 58 && /^\d+$/.test(text)

const pairKey = (a: ReadWord, b: ReadWord) =>
  keyOf(Math.imul(wordFeatures(a).own + 1, 0x9e3779b1) ^ Math.imul(wordFeatures(b).own + 1, 0x85ebca6b))

/** A few thousand words recur. */
const known = new Map<number, WordFeatures>()
const MAX_KNOWN = 20_000

function wordFeatures(word: ReadWord): WordFeatures {
  const hash = hashOf(word)
  const earlier = known.get(hash)
  if (earlier) return earlier
  const edged = `<${hash === NUMBER ? '0' : word.spelt || word.plain}>`
  const pieces: number[] = []
  for (let length = SHORTEST_PIECE; length <= LONGEST_PIECE; length++)
    for (let at = 0; at + length <= edged.length; at++)
      pieces.push(keyOf(hashText(`3${edged.slice(at, at + length)}`)))
  const made = {
    own: keyOf(Math.imul(hash, 0xc2b2ae35)),
    pieces,
    pieceValue: PIECES / Math.sqrt(Math.max(1, pieces.length / PIECE_LENGTHS)),
  }
  if (known.size >= MAX_KNOWN) known.clear()
  known.set(hash, made)
  return made
}
