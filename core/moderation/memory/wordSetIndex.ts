import { commonWords } from './commonWords'
import { KeyIndex } from './keyIndex'
import { NumberSets } from './numberSets'

/* Copies with shuffled or exchanged words have most words in common, though few triples. */

/** Dice's coefficient of the sets of words. */
const ALIKE_SHARE = 0.7
/** Smaller sets are alike by chance. */
const MIN_WORDS = 8
const MIN_TELLING_WORDS = 4
/**
 * A band is a key of three minima of the telling words. Texts whose telling words have a Jaccard index of 0.6 share a
 * band with a probability of 99 %, those with 0.05 with 0.3 % (Broder, "On the resemblance and containment of
 * documents", 1997).
 */
const BANDS = 20
const ROWS = 3

interface AlikeText {
  /** The position of the earlier text in the index, from 0. */
  text: number
  /** Dice's coefficient of the sets of words, 0 to 1. */
  share: number
}

/** Finds texts of nearly the same words, in any order. 100,000 texts take about 70 MB. */
export class WordSetIndex {
  private index = new KeyIndex()
  private sets = new NumberSets()
  /** A text is looked for and added right after. */
  private latest: { words: Int32Array; bands: Int32Array | null } | null = null

  /** @param words from `wordHashes`: unique and ascending */
  add(words: Int32Array): void {
    const bands = this.bandsOf(words)
    if (bands) this.index.add(bands, this.sets.size)
    this.sets.add(words)
  }

  findAlike(words: Int32Array): AlikeText[] {
    const bands = this.bandsOf(words)
    if (!bands) return []
    const alike: AlikeText[] = []
    this.index.forEachWith(bands, (text, common) => {
      if (common < 2) return
      const length = this.sets.lengthOf(text)
      const both = words.length + length
      // Not even the shorter as a whole would be enough.
      if (2 * Math.min(words.length, length) < ALIKE_SHARE * both) return
      const share = (2 * this.sets.countShared(words, text)) / both
      if (share >= ALIKE_SHARE) alike.push({ text, share })
    })
    return alike
  }

  private bandsOf(words: Int32Array): Int32Array | null {
    if (this.latest?.words !== words) this.latest = { words, bands: bandsOf(words) }
    return this.latest.bands
  }
}

/** Each mixes a word into two hashes of 16 bits. */
const seeds = Int32Array.from({ length: (BANDS * ROWS) / 2 }, (_, i) => Math.imul(2 * i + 1, 0x9e3779b1))
const minima = new Int32Array(BANDS * ROWS)

/** Keys of which similar sets share some; null if there are too few words. */
function bandsOf(words: Int32Array): Int32Array | null {
  if (words.length < MIN_WORDS) return null
  const common = commonWords()
  let telling = 0
  minima.fill(0x10000)
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!
    if (common.has(word)) continue
    telling++
    for (let k = 0; k < seeds.length; k++) {
      const mixed = Math.imul(word ^ seeds[k]!, 0x85ebca6b)
      const hash = Math.imul(mixed ^ (mixed >>> 15), 0xc2b2ae35)
      const high = hash >>> 16
      const low = (hash ^ (hash >>> 13)) & 0xffff
      if (high < minima[2 * k]!) minima[2 * k] = high
      if (low < minima[2 * k + 1]!) minima[2 * k + 1] = low
    }
  }
  if (telling < MIN_TELLING_WORDS) return null
  const bands = new Int32Array(BANDS)
  for (let band = 0; band < BANDS; band++) {
    let key = Math.imul(band + 1, 0x27d4eb2f)
    for (let row = 0; row < ROWS; row++) key = Math.imul(key ^ minima[band * ROWS + row]!, 0xc2b2ae35)
    bands[band] = key ^ (key >>> 15)
  }
  return bands
}
