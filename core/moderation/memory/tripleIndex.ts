/* Near-copies by the word triples that two texts share. */

/** From this share on two texts are near-copies: of the shorter one's triples, and of both together. */
export const NEAR_SHARE = 0.5
/** From this share of the shorter one's triples on two texts have turns of phrase in common. */
const AKIN_SHARE = 0.2
/** Below this many triples a text says too little for its copy to mean anything by the shorter one's share alone. */
const ENOUGH_TRIPLES = 8
/** A triple that so many texts have ("I would recommend") finds nobody; only the latest of them are looked through. */
const LOOKED_THROUGH = 16

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
  private postingHash = new Int32Array(1 << 12)
  private postingText = new Int32Array(1 << 12)
  private postingNext = new Int32Array(1 << 12)
  private postings = 0
  private texts: Int32Array[] = []
  private met = new Uint16Array(1 << 8)

  get size(): number {
    return this.texts.length
  }

  /** @param triples as `tripleHashes` gives them: each once, rising */
  add(triples: Int32Array): void {
    const text = this.texts.length
    this.texts.push(triples)
    if (text >= this.met.length) this.met = new Uint16Array(this.met.length * 2)
    for (const hash of triples) {
      if (this.postings === this.postingHash.length) this.grow()
      const slot = hash & this.mask
      this.postingHash[this.postings] = hash
      this.postingText[this.postings] = text
      this.postingNext[this.postings] = this.heads[slot]!
      this.heads[slot] = this.postings++
    }
  }

  /** Earlier near-copies of a text, the closest first, and all that share turns of phrase with it. */
  look(triples: Int32Array): { near: NearCopy[]; akin: number[] } {
    const candidates: number[] = []
    for (const hash of triples) {
      let looked = 0
      for (
        let at = this.heads[hash & this.mask]!;
        at >= 0 && looked < LOOKED_THROUGH;
        at = this.postingNext[at]!
      ) {
        if (this.postingHash[at] !== hash) continue
        looked++
        const text = this.postingText[at]!
        if (this.met[text] === 0) candidates.push(text)
        this.met[text]!++
      }
    }
    const near: NearCopy[] = []
    const akin: number[] = []
    for (const text of candidates) {
      const met = this.met[text]!
      this.met[text] = 0
      const other = this.texts[text]!
      const shorter = Math.min(triples.length, other.length)
      if (met >= 2 && met >= AKIN_SHARE * shorter) akin.push(text)
      // Half of those met may have been cut off by the walk's end, so the exact count comes after a generous guess.
      if (met * 4 < shorter) continue
      const shared = countShared(triples, other)
      const share = (2 * shared) / (triples.length + other.length)
      if (share >= NEAR_SHARE || (shorter >= ENOUGH_TRIPLES && shared / shorter >= NEAR_SHARE))
        near.push({ text, share })
    }
    return { near: near.sort((a, b) => b.share - a.share || b.text - a.text), akin }
  }

  private grow(): void {
    const more = (array: Int32Array) => {
      const grown = new Int32Array(array.length * 2)
      grown.set(array)
      return grown
    }
    this.postingHash = more(this.postingHash)
    this.postingText = more(this.postingText)
    this.postingNext = more(this.postingNext)
    this.heads = new Int32Array(this.heads.length * 2).fill(-1)
    this.mask = this.heads.length - 1
    for (let at = 0; at < this.postings; at++) {
      const slot = this.postingHash[at]! & this.mask
      this.postingNext[at] = this.heads[slot]!
      this.heads[slot] = at
    }
  }
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
