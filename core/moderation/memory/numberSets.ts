import { longer } from '../longer'

/** Sets of 32-bit numbers in sequence, about 4 bytes a number. */
export class NumberSets {
  private numbers = new Int32Array(1 << 12)
  private starts = new Int32Array(1 << 8)
  private sets = 0

  get size(): number {
    return this.sets
  }

  /** @param set unique and ascending */
  add(set: Int32Array): void {
    const start = this.starts[this.sets]!
    if (this.sets + 2 >= this.starts.length) this.starts = longer(this.starts)
    while (start + set.length > this.numbers.length) this.numbers = longer(this.numbers)
    this.numbers.set(set, start)
    this.starts[++this.sets] = start + set.length
  }

  lengthOf(index: number): number {
    return this.starts[index + 1]! - this.starts[index]!
  }

  /** The number of numbers that a set shares with another. */
  countShared(set: Int32Array, index: number): number {
    const { numbers } = this
    const end = this.starts[index + 1]!
    let shared = 0
    for (let i = 0, j = this.starts[index]!; i < set.length && j < end;) {
      const [a, b] = [set[i]!, numbers[j]!]
      if (a === b) shared++
      if (a <= b) i++
      if (b <= a) j++
    }
    return shared
  }
}
