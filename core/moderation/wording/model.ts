import { hashText } from '../plainWord'
import type { ReadWord } from '../reading'

/** The number of occurrences of words, parts of words and pairs of words in both kinds of texts. */
export interface WordingCounts {
  /** By feature: the counts in spam and in customers' texts. */
  seen: Map<number, { spam: number; honest: number }>
  spamTotal: number
  honestTotal: number
}

/** The file of a model: features (see `featuresOf`) with both counts. */
export interface WordingFile {
  name: string
  counts: [key: number, spam: number, honest: number][]
}

export type Verdict = 'spam' | 'honest'

/** Smoothing (Lidstone): the count of unseen features. */
const SMOOTHING = 0.4
/** The maximum evidence of a word, in nats. */
const MOST_PER_WORD = 3.2
/** Evidence for spam may be higher, because its words are more specific. */
const MOST_HONEST_PER_WORD = 1
/** The minimum evidence of a word, in nats, so that many neutral words add up to nothing. */
const LEAST_PER_WORD = 0.5
const PIECE_LENGTH = 4
/** A power of two, about twenty times the number of features of the built-in model. */
const MAYBE_BITS = 1 << 20
const PIECE_SHARE = 0.6
const PAIR_SHARE = 0.8

/**
 * A multinomial naive Bayes classifier on words, parts of words and pairs of words (McCallum and Nigam, "A
 * comparison of event models for naive Bayes text classification", 1998). Parts of words generalise to unseen
 * words and languages. Lessons can be added and removed.
 */
export class WordingModel {
  private known = new Map<number, number>()
  /** A bit for each seen feature, by the end of its key: most pairs of words are unseen. */
  private maybe = new Int32Array(MAYBE_BITS >>> 5)

  constructor(readonly counts: WordingCounts) {
    for (const feature of counts.seen.keys()) this.mark(feature)
  }

  /** @param weight 1 to learn a text, -1 to unlearn it */
  teach(words: ReadWord[], verdict: Verdict, weight = 1): void {
    const { counts } = this
    for (const feature of featuresOf(words)) {
      const seen = counts.seen.get(feature) ?? { spam: 0, honest: 0 }
      seen[verdict] = Math.max(0, seen[verdict] + weight)
      counts.seen.set(feature, seen)
      this.mark(feature)
      counts[`${verdict}Total`] += weight
    }
    this.known.clear()
  }

  /** The evidence of each word for spam, in nats; negative for an honest review. */
  weights(words: ReadWord[]): number[] {
    const weights: number[] = new Array<number>(words.length)
    for (let i = 0; i < words.length; i++) {
      const word = words[i]!
      let own = this.ofWord(word)
      if (i + 1 < words.length) own += PAIR_SHARE * this.ratio(pairKey(word, words[i + 1]!))
      const telling = Math.abs(own) <= LEAST_PER_WORD ? 0 : own - Math.sign(own) * LEAST_PER_WORD
      weights[i] = Math.max(-MOST_HONEST_PER_WORD, Math.min(MOST_PER_WORD, telling))
    }
    return weights
  }

  /** Whether the model knows a word in this spelling. */
  knows(plain: string): boolean {
    return this.counts.seen.has(hashText(plain))
  }

  private ofWord(word: ReadWord): number {
    const key = word.speltHash
    const earlier = this.known.get(key)
    if (earlier !== undefined) return earlier
    const pieces = piecesOf(word.spelt).map((piece) => this.ratio(piece))
    const ofPieces = pieces.reduce((sum, ratio) => sum + ratio, 0) / Math.max(1, Math.sqrt(pieces.length))
    const weight = this.ratio(key) + PIECE_SHARE * ofPieces
    this.known.set(key, weight)
    return weight
  }

  private mark(key: number): void {
    this.maybe[(key & (MAYBE_BITS - 1)) >>> 5]! |= 1 << (key & 31)
  }

  private ratio(key: number): number {
    if ((this.maybe[(key & (MAYBE_BITS - 1)) >>> 5]! & (1 << (key & 31))) === 0) return 0
    const { seen, spamTotal, honestTotal } = this.counts
    const of = seen.get(key)
    if (of === undefined || of.spam + of.honest === 0) return 0
    // Both kinds are equally likely in advance, so only the relative counts matter.
    return Math.log(((of.spam + SMOOTHING) * (honestTotal + 1)) / ((of.honest + SMOOTHING) * (spamTotal + 1)))
  }
}

const pairKey = (a: ReadWord, b: ReadWord) =>
  (Math.imul(a.speltHash ^ (a.speltHash >>> 15), 0x85ebca6b) + b.speltHash) | 0

function piecesOf(word: string): number[] {
  const edged = `<${word}>`
  const pieces: number[] = []
  for (let i = 0; i + PIECE_LENGTH <= edged.length; i++)
    pieces.push(hashText(`~${edged.slice(i, i + PIECE_LENGTH)}`))
  return pieces
}

/** All features of a text. */
function featuresOf(words: ReadWord[]): number[] {
  return words.flatMap((word, i) => {
    const next = words[i + 1]
    return [word.speltHash, ...piecesOf(word.spelt), ...(next ? [pairKey(word, next)] : [])]
  })
}

export const nothingLearnt = (): WordingCounts => ({
  seen: new Map(),
  spamTotal: 0,
  honestTotal: 0,
})

/** Reads the counts anew each time, so that teaching one shop doesn't teach another. */
export function readCounts({ counts }: WordingFile): WordingCounts {
  const read = nothingLearnt()
  for (const [key, spam, honest] of counts) {
    read.seen.set(key, { spam, honest })
    read.spamTotal += spam
    read.honestTotal += honest
  }
  return read
}

/** The model as a file, sorted by feature. */
export function writeCounts(name: string, { seen }: WordingCounts): WordingFile {
  const keys = [...seen.keys()].sort((a, b) => a - b)
  return { name, counts: keys.map((key) => [key, seen.get(key)!.spam, seen.get(key)!.honest]) }
}
