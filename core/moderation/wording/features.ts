import { longer } from '../longer'
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
interface WordFeatures {
  own: number
  pieces: Int32Array
  pieceValue: number
}

/** The sums of values by key. They are in use between `addUp` and `clear` only, so that nothing is allocated. */
const sums = new Float32Array(WEIGHTS)
/** The limited sums of the touched keys, in their order. */
let values = new Float32Array(1 << 13)
let touched = new Int32Array(1 << 13)
let touchedCount = 0

function add(key: number, value: number): void {
  if (sums[key] === 0) {
    if (touchedCount === touched.length) {
      touched = longer(touched)
      values = new Float32Array(touched.length)
    }
    touched[touchedCount++] = key
  }
  sums[key]! += value
}

/**
 * Words, pairs of words and pieces of words (three to five letters with the edges), as a vector of length 1. Pieces
 * generalise to unseen words and to languages that are alike.
 * @param read is called with the keys, their values, and what to multiply these by
 */
export function withFeatures<T>(
  words: ReadWord[],
  read: (keys: Int32Array, values: Float32Array, scale: number) => T,
): T {
  let before: WordFeatures | null = null
  for (let i = 0; i < words.length; i++) {
    const features = wordFeatures(words[i]!)
    add(features.own, WORD)
    if (before) add(pairKey(before, features), PAIR)
    const { pieces, pieceValue } = features
    for (let k = 0; k < pieces.length; k++) add(pieces[k]!, pieceValue)
    before = features
  }
  let squares = 0
  for (let i = 0; i < touchedCount; i++) {
    const value = Math.min(MAX_VALUE, sums[touched[i]!]!)
    values[i] = value
    squares += value * value
  }
  try {
    return read(touched.subarray(0, touchedCount), values, squares === 0 ? 1 : 1 / Math.sqrt(squares))
  } finally {
    for (let i = 0; i < touchedCount; i++) sums[touched[i]!] = 0
    touchedCount = 0
  }
}

/**
 * How much of a word's own features is in the vector: all, or less of those that are said again and again.
 * @param weightOf the weight of a key
 */
export function sumOfWord(word: ReadWord, next: ReadWord | undefined, weightOf: (key: number) => number) {
  const part = (key: number, of: number) =>
    (weightOf(key) * of * Math.min(MAX_VALUE, sums[key]!)) / sums[key]!
  const features = wordFeatures(word)
  let alone = part(features.own, WORD)
  for (const piece of features.pieces) alone += part(piece, features.pieceValue)
  return { alone, pair: next ? part(pairKey(features, wordFeatures(next)), PAIR) : 0 }
}

const keyOf = (hash: number) => (hash ^ (hash >>> 15)) & (WEIGHTS - 1)

/** Numbers are all the same, so that no amount is learnt. */
const NUMBER = hashText('0')
const hashOf = ({ spelt, plain, speltHash, hash }: ReadWord) =>
  isNumber(spelt || plain) ? NUMBER : spelt ? speltHash : hash

/** The first character tells most words apart. */
const isNumber = (text: string) => text.charCodeAt(0) < 58 && /^\d+$/.test(text)

const pairKey = (a: WordFeatures, b: WordFeatures) =>
  keyOf(Math.imul(a.own + 1, 0x9e3779b1) ^ Math.imul(b.own + 1, 0x85ebca6b))

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
    pieces: Int32Array.from(pieces),
    pieceValue: PIECES / Math.sqrt(Math.max(1, pieces.length / PIECE_LENGTHS)),
  }
  if (known.size >= MAX_KNOWN) known.clear()
  known.set(hash, made)
  return made
}
