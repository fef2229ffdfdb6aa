/* Near-copies have many word triples in common. */

/** Of the shorter text's triples, or Dice's coefficient of both. */
export const NEAR_SHARE = 0.5
/** Of the shorter text's triples. */
const SHARED_WORDING_SHARE = 0.2
// Many angry customers begin with "Where is my order", two triples.
const MIN_SHARED_FOR_WORDING = 3
// Short texts consist of common phrases.
const MIN_TRIPLES = 8
// Triples such as "I would recommend" are in many texts.
const MAX_TEXTS_PER_TRIPLE = 15
/** A count and the texts: one cache line. */
const BLOCK = MAX_TEXTS_PER_TRIPLE + 1

export interface NearCopy {
  /** The position of the earlier text in the index, from 0. */
  text: number
  /** Dice's coefficient of the two sets of triples, 0 to 1 (Dice, "Measures of the amount of ecologic association", 1945). */
  share: number
}

/** Finds near-copies by word triples. 100,000 texts take about 80 MB in flat arrays. */
export class TripleIndex {
  /** Open addressing: a triple, and 1 + its only text, or -1 - its block; 0 if free. */
  private table = new Int32Array(2 << 13)
  private entries = 0
  /** For triples of several texts: their number and the latest texts in a ring. */
  private blocks = new Int32Array(BLOCK << 6)
  private blocksUsed = 0
  /** The triples of all texts in sequence, and the start of each text. */
  private triples = new Int32Array(1 << 12)
  private starts = new Int32Array(1 << 8)
  private texts = 0
  private commonTriples = new Uint16Array(1 << 8)
  private forgotten = new Set<number>()

  get size(): number {
    return this.texts
  }

  /** @param triples from `tripleHashes`: unique and ascending */
  add(triples: Int32Array): void {
    const text = this.texts++
    const start = this.starts[text]!
    if (this.texts >= this.commonTriples.length) {
      this.commonTriples = new Uint16Array(this.commonTriples.length * 2)
      this.starts = longer(this.starts)
    }
    while (start + triples.length > this.triples.length) this.triples = longer(this.triples)
    this.triples.set(triples, start)
    this.starts[this.texts] = start + triples.length
    for (const hash of triples) this.note(hash, text)
  }

  /** Keeps the text's position. */
  forget(text: number): void {
    this.forgotten.add(text)
  }

  private note(hash: number, text: number): void {
    const at = placeOf(this.table, hash)
    const held = this.table[at + 1]!
    if (held === 0) {
      this.table[at] = hash
      this.table[at + 1] = text + 1
      // At most half full, so that probing stays short.
      if (++this.entries * 4 > this.table.length) this.grow()
      return
    }
    if (held > 0) {
      if ((this.blocksUsed + 1) * BLOCK > this.blocks.length) this.blocks = longer(this.blocks)
      this.table[at + 1] = -1 - this.blocksUsed
      this.blocks[this.blocksUsed * BLOCK] = 1
      this.blocks[this.blocksUsed * BLOCK + 1] = held - 1
      this.blocksUsed++
    }
    const block = (-1 - this.table[at + 1]!) * BLOCK
    const count = this.blocks[block]!++
    this.blocks[block + 1 + (count % MAX_TEXTS_PER_TRIPLE)] = text
  }

  /** The closest first. */
  findSimilar(triples: Int32Array): { near: NearCopy[]; sharedWording: number[] } {
    const candidates = this.countCommonTriples(triples)
    const near: NearCopy[] = []
    const sharedWording: number[] = []
    for (const text of candidates) {
      const common = this.commonTriples[text]!
      this.commonTriples[text] = 0
      if (this.forgotten.has(text)) continue
      const [start, end] = [this.starts[text]!, this.starts[text + 1]!]
      const shorter = Math.min(triples.length, end - start)
      if (common >= MIN_SHARED_FOR_WORDING && common >= SHARED_WORDING_SHARE * shorter)
        sharedWording.push(text)
      // The index may have dropped half of the triples, so the first filter is generous.
      if (common * 4 < shorter) continue
      const shared = countShared(triples, this.triples.subarray(start, end))
      const share = (2 * shared) / (triples.length + end - start)
      if (share >= NEAR_SHARE || (shorter >= MIN_TRIPLES && shared / shorter >= NEAR_SHARE))
        near.push({ text, share })
    }
    return { near: near.sort((a, b) => b.share - a.share || b.text - a.text), sharedWording }
  }

  /** Returns the texts with any of the triples, and counts them in `commonTriples`. */
  private countCommonTriples(triples: Int32Array): number[] {
    const { table, blocks, commonTriples } = this
    const candidates: number[] = []
    for (let i = 0; i < triples.length; i++) {
      const held = table[placeOf(table, triples[i]!) + 1]!
      if (held === 0) continue
      if (held > 0) {
        if (commonTriples[held - 1]!++ === 0) candidates.push(held - 1)
        continue
      }
      const block = (-1 - held) * BLOCK
      for (let k = Math.min(blocks[block]!, MAX_TEXTS_PER_TRIPLE); k > 0; k--) {
        const text = blocks[block + k]!
        if (commonTriples[text]!++ === 0) candidates.push(text)
      }
    }
    return candidates
  }

  private grow(): void {
    const table = new Int32Array(this.table.length * 2)
    for (let at = 0; at < this.table.length; at += 2) {
      if (this.table[at + 1] === 0) continue
      const to = placeOf(table, this.table[at]!)
      table[to] = this.table[at]!
      table[to + 1] = this.table[at + 1]!
    }
    this.table = table
  }
}

function placeOf(table: Int32Array, hash: number): number {
  const last = table.length - 1
  let at = (hash << 1) & last
  while (table[at + 1] !== 0 && table[at] !== hash) at = (at + 2) & last
  return at
}

function longer(array: Int32Array<ArrayBuffer>): Int32Array<ArrayBuffer> {
  const grown = new Int32Array(array.length * 2)
  grown.set(array)
  return grown
}

function countShared(a: Int32Array, b: Int32Array): number {
  let shared = 0
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    if (a[i] === b[j]) {
      shared++
      i++
      j++
    } else if (a[i]! < b[j]!) i++
    else j++
  }
  return shared
}
