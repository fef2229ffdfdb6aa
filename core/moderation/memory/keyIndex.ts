import { longer } from '../longer'

/** Common keys, such as the triple "I would recommend", are in many texts. */
const MAX_TEXTS_PER_KEY = 15
/** A count and the texts: one cache line. */
const BLOCK = MAX_TEXTS_PER_KEY + 1

/** For each key (a 32-bit number) the latest texts that have it, in flat arrays. */
export class KeyIndex {
  /** Open addressing: a key, and 1 + its only text, or -1 - its block; 0 if free. */
  private table = new Int32Array(2 << 13)
  private entries = 0
  /** For keys of several texts: their number and the latest texts in a ring. */
  private blocks = new Int32Array(BLOCK << 6)
  private blocksUsed = 0
  private commonKeys = new Uint16Array(1 << 8)

  /** @param keys unique */
  add(keys: Int32Array, text: number): void {
    while (text >= this.commonKeys.length) this.commonKeys = new Uint16Array(this.commonKeys.length * 2)
    for (let i = 0; i < keys.length; i++) this.note(keys[i]!, text)
  }

  private note(key: number, text: number): void {
    const at = placeOf(this.table, key)
    const held = this.table[at + 1]!
    if (held === 0) {
      this.table[at] = key
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
    this.blocks[block + 1 + (count % MAX_TEXTS_PER_KEY)] = text
  }

  /** Calls back for each text that has some of the keys, with how many. Of common keys only the latest texts count. */
  forEachWith(keys: Int32Array, read: (text: number, common: number) => void): void {
    const { table, blocks, commonKeys } = this
    const found: number[] = []
    for (let i = 0; i < keys.length; i++) {
      const held = table[placeOf(table, keys[i]!) + 1]!
      if (held === 0) continue
      if (held > 0) {
        if (commonKeys[held - 1]!++ === 0) found.push(held - 1)
        continue
      }
      const block = (-1 - held) * BLOCK
      for (let k = Math.min(blocks[block]!, MAX_TEXTS_PER_KEY); k > 0; k--) {
        const text = blocks[block + k]!
        if (commonKeys[text]!++ === 0) found.push(text)
      }
    }
    for (let i = 0; i < found.length; i++) {
      const text = found[i]!
      const common = commonKeys[text]!
      commonKeys[text] = 0
      read(text, common)
    }
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

function placeOf(table: Int32Array, key: number): number {
  const last = table.length - 1
  let at = (key << 1) & last
  while (table[at + 1] !== 0 && table[at] !== key) at = (at + 2) & last
  return at
}
