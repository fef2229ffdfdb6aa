import { hashText } from '../plainWord'
import type { Fingerprint } from './fingerprint'
import { traitBit, traitNames, type Trait } from './traits'

/** An arrival as attacks are looked for: a few numbers. */
export interface Remembered {
  id: string
  at: number
  low: boolean
  verified: boolean
  /** Its traits that need no comparison, see `traitBit`. */
  bits: number
  /** Hashes; 0 if unknown. */
  network: number
  address: number
  domain: number
  /** The latest arrival that shares wording with it. */
  akinTo: Remembered | null
  /** Share of the arrivals before it that it shares wording with; null if it was not compared. */
  akinShare: number | null
  inAttack: boolean
}

export function remembered(one: Fingerprint): Remembered | null {
  if (one.at === null) return null
  const compared: string[] = ['low', 'verified']
  const bits = one.traits
    .filter((trait) => !compared.includes(trait))
    .reduce((sum, trait) => sum | traitBit(trait as Trait), 0)
  return {
    id: one.id,
    at: one.at,
    low: one.traits.includes('low'),
    verified: one.traits.includes('verified'),
    bits,
    network: hashOf(one.network),
    address: hashOf(one.ip),
    domain: hashOf(one.domain),
    akinTo: null,
    akinShare: null,
    inAttack: false,
  }
}

const hashOf = (text: string) => (text === '' ? 0 : hashText(text) || 1)

const MIN_EXPIRED_TO_DROP = 1000

/** Arrivals in the order of time, without those that are too old to matter. */
export class ArrivalLine {
  readonly all: Remembered[] = []
  private byId = new Map<string, Remembered>()
  /** How many have each trait, by the position in `traitNames`. */
  readonly traitCounts = new Uint32Array(traitNames.length)

  constructor(private maxAgeMs: number) {}

  find(id: string): Remembered | undefined {
    return this.byId.get(id)
  }

  insert(one: Remembered): void {
    const place = this.firstAfter(one.at)
    if (place === this.all.length) this.all.push(one)
    else this.all.splice(place, 0, one)
    this.byId.set(one.id, one)
    this.count(one, 1)
    this.dropOld()
  }

  forget(id: string): void {
    const one = this.byId.get(id)
    if (!one) return
    this.byId.delete(id)
    this.all.splice(this.all.lastIndexOf(one), 1)
    this.count(one, -1)
  }

  private dropOld(): void {
    const old = this.firstAfter(this.all.at(-1)!.at - this.maxAgeMs)
    if (old < MIN_EXPIRED_TO_DROP) return
    for (const one of this.all.splice(0, old)) {
      this.byId.delete(one.id)
      this.count(one, -1)
    }
  }

  private count({ bits: own }: Remembered, by: 1 | -1): void {
    for (let bits = own, t = 0; bits !== 0; bits >>>= 1, t++) if (bits & 1) this.traitCounts[t]! += by
  }

  /** The position of the first arrival after a moment. Searches from the end, because it is usually there. */
  firstAfter(moment: number): number {
    let [back, high] = [1, this.all.length]
    while (back <= this.all.length && this.all[this.all.length - back]!.at > moment) {
      high = this.all.length - back
      back *= 2
    }
    let low = Math.max(0, this.all.length - back)
    while (low < high) {
      const middle = (low + high) >>> 1
      if (this.all[middle]!.at > moment) high = middle
      else low = middle + 1
    }
    return low
  }
}
