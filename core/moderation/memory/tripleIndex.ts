/* Near-copies by the word triples that two texts share. */

/** From this share on two texts are near-copies: of the shorter one's triples, and of both together. */
export const NEAR_SHARE = 0.5
/** From this share of the shorter one's triples on two texts have turns of phrase in common. */
const AKIN_SHARE = 0.2
/** Below this many triples a text says too little for its copy to mean anything by the shorter one's share alone. */
const ENOUGH_TRIPLES = 8
/** A triple that so many texts have ("I would recommend") finds nobody; only the latest of them are looked through. */
const LOOKED_THROUGH = 16

/** Numbers of one posting, and where its text and the next one stand in it. */
const [WIDTH, TEXT, NEXT] = [4, 1, 2]

export interface NearCopy {
  /** Place of the earlier text in the index, counted from 0. */
  text: number
  /** Dice's coefficient of the two sets of triples, 0 to 1 (Dice, "Measures of the amount of ecologic association", 1945). */
  share: number
}

/**
 * An index of texts by every three words in a row. It finds those that share half of them or more: postings of each
 * triple are walked, the latest first, and what meets often enough is compared exactly. Kept in flat arrays, so that
 * a hundred thousand texts take about 60 MB and no time to walk.
 */
export class TripleIndex {
  private heads = new Int32Array(1 << 12).fill(-1)
  private mask = (1 << 12) - 1
  /** Hash, text and the place of the next one in the same slot, side by side, so that a step waits for memory once. */
  private posted = new Int32Array(WIDTH << 12)
  private postings = 0
  /** One bit for each triple there is, by the end of its hash: most triples of a new text were never written before. */
  private maybe = new Int32Array(1 << 10)
  /** The triples of all texts, one after the other, and where each text's begin. */
  private triples = new Int32Array(1 << 12)
  private starts = new Int32Array(1 << 8)
  private texts = 0
  private met = new Uint16Array(1 << 8)

  get size(): number {
    return this.texts
  }

  /** @param triples as `tripleHashes` gives them: each once, rising */
  add(triples: Int32Array): void {
    const text = this.texts++
    const start = this.starts[text]!
    if (this.texts >= this.met.length) {
      this.met = new Uint16Array(this.met.length * 2)
      this.starts = longer(this.starts)
    }
    while (start + triples.length > this.triples.length) this.triples = longer(this.triples)
    this.triples.set(triples, start)
    this.starts[this.texts] = start + triples.length
    for (const hash of triples) {
      if (this.postings * WIDTH === this.posted.length) this.grow()
      const slot = hash & this.mask
      this.mark(hash)
      const at = this.postings++ * WIDTH
      this.posted[at] = hash
      this.posted[at + TEXT] = text
      this.posted[at + NEXT] = this.heads[slot]!
      this.heads[slot] = at
    }
  }

  /** Earlier near-copies of a text, the closest first, and all that share turns of phrase with it. */
  look(triples: Int32Array): { near: NearCopy[]; akin: number[] } {
    const { heads, mask, posted, maybe, met: meetings } = this
    const bits = maybe.length * 32 - 1
    const candidates: number[] = []
    for (let i = 0; i < triples.length; i++) {
      const hash = triples[i]!
      if ((maybe[(hash & bits) >>> 5]! & (1 << (hash & 31))) === 0) continue
      let looked = 0
      for (let at = heads[hash & mask]!; at >= 0 && looked < LOOKED_THROUGH; at = posted[at + NEXT]!) {
        if (posted[at] !== hash) continue
        looked++
        const text = posted[at + TEXT]!
        if (meetings[text]!++ === 0) candidates.push(text)
      }
    }
    const near: NearCopy[] = []
    const akin: number[] = []
    for (const text of candidates) {
      const met = meetings[text]!
      meetings[text] = 0
      const [start, end] = [this.starts[text]!, this.starts[text + 1]!]
      const shorter = Math.min(triples.length, end - start)
      if (met >= 2 && met >= AKIN_SHARE * shorter) akin.push(text)
      // Half of those met may have been cut off by the walk's end, so the exact count comes after a generous guess.
      if (met * 4 < shorter) continue
      const shared = countShared(triples, this.triples.subarray(start, end))
      const share = (2 * shared) / (triples.length + end - start)
      if (share >= NEAR_SHARE || (shorter >= ENOUGH_TRIPLES && shared / shorter >= NEAR_SHARE))
        near.push({ text, share })
    }
    return { near: near.sort((a, b) => b.share - a.share || b.text - a.text), akin }
  }

  private mark(hash: number): void {
    this.maybe[(hash & (this.maybe.length * 32 - 1)) >>> 5]! |= 1 << (hash & 31)
  }

  private grow(): void {
    const grown = longer(this.posted)
    this.posted = grown
    // Eight bits for each posting that there is room for.
    this.maybe = new Int32Array(this.maybe.length * 2)
    this.heads = new Int32Array(this.heads.length * 2).fill(-1)
    this.mask = this.heads.length - 1
    for (let at = 0; at < this.postings * WIDTH; at += WIDTH) {
      const slot = grown[at]! & this.mask
      this.mark(grown[at]!)
      grown[at + NEXT] = this.heads[slot]!
      this.heads[slot] = at
    }
  }
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
