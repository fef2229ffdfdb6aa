import { KeyIndex } from './keyIndex'
import { NumberSets } from './numberSets'

/* Near-copies have many word triples in common. */

/** Of the shorter text's triples, or Dice's coefficient of both. */
const NEAR_SHARE = 0.5
/** Of the shorter text's triples. */
const SHARED_WORDING_SHARE = 0.2
// Many angry customers begin with "Where is my order", two triples.
const MIN_SHARED_FOR_WORDING = 3
// Short texts consist of common phrases.
const MIN_TRIPLES = 8
interface NearCopy {
  /** The position of the earlier text in the index, from 0. */
  text: number
  /** Dice's coefficient of the two sets of triples, 0 to 1 (Dice, "Measures of the amount of ecologic association", 1945). */
  share: number
}

/** Finds near-copies by word triples. 100,000 texts take about 80 MB. */
export class TripleIndex {
  private index = new KeyIndex()
  private sets = new NumberSets()

  /** @param triples from `tripleHashes`: unique and ascending */
  add(triples: Int32Array): void {
    this.index.add(triples, this.sets.size)
    this.sets.add(triples)
  }

  findSimilar(triples: Int32Array): { near: NearCopy[]; sharedWording: number[] } {
    const near: NearCopy[] = []
    const sharedWording: number[] = []
    this.index.forEachWith(triples, (text, common) => {
      const length = this.sets.lengthOf(text)
      const shorter = Math.min(triples.length, length)
      if (common >= MIN_SHARED_FOR_WORDING && common >= SHARED_WORDING_SHARE * shorter)
        sharedWording.push(text)
      // The index may have dropped half of the triples, so the first filter is generous.
      if (common * 4 < shorter) return
      const shared = this.sets.countShared(triples, text)
      const share = (2 * shared) / (triples.length + length)
      if (share >= NEAR_SHARE || (shorter >= MIN_TRIPLES && shared / shorter >= NEAR_SHARE))
        near.push({ text, share })
    })
    return { near, sharedWording }
  }
}
