import { vocabularyFile, type Vocabulary } from './vocabularyFile'

/** Slots of the tables; letters whose hashes end alike share one. */
export const THREES = 1 << 16
export const TWOS = 1 << 12
/** Of a stored figure, in nats. */
export const STEP = 0.05
/** Taken off for each letter by which the context is shortened (Brants et al., "Large Language Models in Machine Translation", 2007). */
const BACKOFF = Math.log(0.4)
/** Of a letter that was never seen after another, in nats. */
const NEVER = 5

/** Bytes: 0 for letters that were never seen together, otherwise 1 and the negative log-share in steps. */
export type LetterTables = Pick<Vocabulary, 'threes' | 'twos'>

/** FNV-1a, over the last `length` letters before `end`. */
export function letterKey(text: string, end: number, length: 2 | 3): number {
  let hash = 0x811c9dc5
  for (let i = end - length; i < end; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  hash ^= hash >>> 15
  return hash & ((length === 3 ? THREES : TWOS) - 1)
}

/** A word with its edges, as its letters are counted. */
export const edged = (word: string): string => `<<${word}>`

/**
 * How unlikely the letters of a word follow each other, as the mean negative log-share in nats for each letter. Words
 * of the languages that the tables are made of have 2 to 4, letters at random 5 to 7.
 */
export function letterSurprise(word: string, { threes, twos }: LetterTables = vocabularyFile()): number {
  const text = edged(word)
  let sum = 0
  for (let end = 3; end <= text.length; end++) {
    const three = threes[letterKey(text, end, 3)]!
    if (three > 0) {
      sum += (three - 1) * STEP
      continue
    }
    const two = twos[letterKey(text, end, 2)]!
    sum += two > 0 ? (two - 1) * STEP - BACKOFF : NEVER - 2 * BACKOFF
  }
  return sum / (text.length - 2)
}
