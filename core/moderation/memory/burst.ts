import type { Fingerprint } from './fingerprint'
import { traitNames, traits, type Trait } from './traits'

/* A sudden crowd, told from an attack by what its members share beyond the shop's own habit. */

const HOUR_MS = 3_600_000
const TIME_WINDOWS_MS = [HOUR_MS, 6 * HOUR_MS, 24 * HOUR_MS, 72 * HOUR_MS]
const BASELINE_MS = 60 * 24 * HOUR_MS
// The baseline, the longest window, and a day for reviews that arrive out of order.
const MAX_AGE_MS = BASELINE_MS + 4 * 24 * HOUR_MS
const MIN_EXPIRED_TO_DROP = 1000
const MIN_CROWD_SIZE = 6
const MAX_CHANCE_OF_SUDDEN_CROWD = 0.001
const MIN_ATTACK_NATS = 11
const MIN_ATTACK_NATS_WITHOUT_HARD_TRAIT = 14
const MIN_HARD_TRAIT_NATS = 3
const MIN_HISTORY_FOR_CONFIDENCE = 20
const EXTRA_NATS_WITH_SHORT_HISTORY = 3
const MAX_NEIGHBOURS_COMPARED = 40
const MAX_MEMBERS_COMPARED = 200
const MAX_BASELINE_ARRIVALS = 400

export interface Burst {
  /** Ids of earlier members, the latest first. */
  members: string[]
  /** The strongest first. */
  shared: Trait[]
  /** Length of the window. */
  hours: number
  /** Reviews in the window, with this one. */
  count: number
}

interface Remembered {
  id: string
  at: number
  network: string
  domain: string
  traits: Set<Trait>
  /** Reviews of the last three days with the same phrases, or on the same network. */
  sharedWith: { words?: Set<Remembered>; network?: Set<Remembered> }
}
type SharedTrait = keyof Remembered['sharedWith']
// In a large group some always share wording or a network by chance.
const MIN_SHARE_OF_NEIGHBOURS = 0.15

/** Finds attacks among a shop's reviews. */
export class BurstWatch {
  private arrivals: Remembered[] = []

  /** @param akin ids of earlier reviews that share wording */
  compareAndRemember(arrival: Fingerprint, akin: Set<string>): Burst | null {
    const one = remembered(arrival)
    if (!one) return null
    const end = this.firstAfter(one.at)
    this.addNeighbourTraits(one, end, akin)
    const burst = this.burstOf(one, end)
    this.insert(one, end)
    return burst
  }

  remember(arrival: Fingerprint): void {
    const one = remembered(arrival)
    if (one) this.insert(one, this.firstAfter(one.at))
  }

  private insert(one: Remembered, place: number): void {
    if (place === this.arrivals.length) this.arrivals.push(one)
    else this.arrivals.splice(place, 0, one)
    this.dropOld()
  }

  forget(id: string): void {
    const at = this.arrivals.findLastIndex((one) => one.id === id)
    if (at < 0) return
    const [one] = this.arrivals.splice(at, 1)
    for (const trait of ['words', 'network'] as const)
      for (const other of one!.sharedWith[trait] ?? []) {
        other.sharedWith[trait]!.delete(one!)
        if (other.sharedWith[trait]!.size === 0) delete other.sharedWith[trait]
      }
  }

  private dropOld(): void {
    const newest = this.arrivals.at(-1)!.at
    const old = this.firstAfter(newest - MAX_AGE_MS)
    if (old < MIN_EXPIRED_TO_DROP) return
    // Otherwise the remaining reviews keep references to the dropped ones.
    for (const one of this.arrivals.splice(0, old)) one.sharedWith = {}
  }

  private addNeighbourTraits(one: Remembered, end: number, akin: Set<string>): void {
    const from = Math.max(this.firstAfter(one.at - TIME_WINDOWS_MS.at(-1)!), end - MAX_NEIGHBOURS_COMPARED)
    let strangers = 0
    for (let i = from; i < end; i++) {
      const other = this.arrivals[i]!
      if (one.network !== '' && other.network === one.network) linkNeighbours(one, other, 'network')
      if (other.domain === one.domain) strangers++
      if (akin.has(other.id)) linkNeighbours(one, other, 'words')
    }
    if (one.domain === '' || strangers < 2) return
    if (this.knowsDomain(one.domain, from)) return
    for (const other of this.arrivals.slice(from, end))
      if (other.domain === one.domain) {
        one.traits.add('newDomain')
        other.traits.add('newDomain')
      }
  }

  private knowsDomain(domain: string, from: number): boolean {
    for (let i = from - 1; i >= 0 && i >= from - MAX_BASELINE_ARRIVALS; i--)
      if (this.arrivals[i]!.domain === domain) return true
    return false
  }

  private burstOf(one: Remembered, end: number): Burst | null {
    for (const span of TIME_WINDOWS_MS) {
      const from = this.firstAfter(one.at - span)
      const count = end - from + 1
      if (count < MIN_CROWD_SIZE || !this.isSudden(count, from, span, one.at)) continue
      const burst = this.attack(one, from, end, span)
      if (burst) return burst
    }
    return null
  }

  /** Uses a Poisson distribution with the rate of the last sixty days. */
  private isSudden(count: number, from: number, span: number, at: number): boolean {
    const start = this.firstAfter(at - span - BASELINE_MS)
    const days = from > start ? at - span - this.arrivals[start]!.at : 0
    // Assumes one review a day where there is no baseline yet.
    const perMs = (from - start + 2) / (days + 2 * 24 * HOUR_MS)
    return tailOfPoisson(count, perMs * span) < MAX_CHANCE_OF_SUDDEN_CROWD
  }

  private attack(one: Remembered, from: number, end: number, span: number): Burst | null {
    const members = [...this.arrivals.slice(Math.max(from, end - MAX_MEMBERS_COMPARED), end), one]
    const usual = this.arrivals.slice(Math.max(0, from - MAX_BASELINE_ARRIVALS), from)
    const weighed = traitNames
      .filter((trait) => shows(one, trait, members))
      .map((trait) => ({ trait, weight: Math.min(traits[trait].most, evidence(trait, members, usual)) }))
      .filter(({ weight }) => weight > 0)
      .sort((a, b) => b.weight - a.weight)
    const all = weighed.reduce((sum, { weight }) => sum + weight, 0)
    const hard = weighed.some(({ trait, weight }) => traits[trait].hard && weight >= MIN_HARD_TRAIT_NATS)
    const unsure = usual.length < MIN_HISTORY_FOR_CONFIDENCE ? EXTRA_NATS_WITH_SHORT_HISTORY : 0
    if (all < (hard ? MIN_ATTACK_NATS : MIN_ATTACK_NATS_WITHOUT_HARD_TRAIT) + unsure) return null
    const shared = weighed.filter(({ weight }) => weight >= 1).map(({ trait }) => trait)
    const half = Math.ceil(shared.length / 2)
    const like = members
      .slice(0, -1)
      .filter((member) => shared.filter((trait) => shows(member, trait, members)).length >= half)
    if (comesLate(one, like)) return null
    return {
      members: like.map(({ id }) => id).reverse(),
      shared,
      hours: Math.round(span / HOUR_MS),
      count: end - from + 1,
    }
  }

  // Searches from the end, because the result is usually there.
  private firstAfter(moment: number): number {
    let [back, high] = [1, this.arrivals.length]
    while (back <= this.arrivals.length && this.arrivals[this.arrivals.length - back]!.at > moment) {
      high = this.arrivals.length - back
      back *= 2
    }
    let low = Math.max(0, this.arrivals.length - back)
    while (low < high) {
      const middle = (low + high) >>> 1
      if (this.arrivals[middle]!.at > moment) high = middle
      else low = middle + 1
    }
    return low
  }
}

/** Whether an attack was over when a review came: nothing like it for six hours, and eight times its usual gap. */
function comesLate({ at }: Remembered, members: Remembered[]): boolean {
  const [first, last] = [members[0], members.at(-1)]
  if (!first || !last) return false
  const usualGap = (last.at - first.at) / members.length
  return at - last.at > Math.max(6 * HOUR_MS, 8 * usualGap)
}

function remembered({ id, at, network, domain, traits }: Fingerprint): Remembered | null {
  return at === null ? null : { id, at, network, domain, traits: new Set(traits), sharedWith: {} }
}

function linkNeighbours(one: Remembered, other: Remembered, trait: SharedTrait): void {
  ;(one.sharedWith[trait] ??= new Set()).add(other)
  ;(other.sharedWith[trait] ??= new Set()).add(one)
}

function shows(one: Remembered, trait: Trait, others: Remembered[]): boolean {
  if (trait === 'lowOnNetwork')
    return (
      one.traits.has('low') &&
      shows(
        one,
        'network',
        others.filter(({ traits }) => traits.has('low')),
      )
    )
  if (trait !== 'words' && trait !== 'network') return one.traits.has(trait)
  const own = one.sharedWith[trait]
  if (!own) return false
  const company =
    others.length <= MAX_NEIGHBOURS_COMPARED ? others.filter((other) => own.has(other)).length : own.size
  return (
    company >= Math.max(1, MIN_SHARE_OF_NEIGHBOURS * (Math.min(others.length, MAX_NEIGHBOURS_COMPARED) - 1))
  )
}

function hadBefore(one: Remembered, trait: Trait): boolean {
  if (trait === 'words' || trait === 'network') return one.sharedWith[trait] !== undefined
  if (trait === 'lowOnNetwork') return one.traits.has('low') && one.sharedWith.network !== undefined
  return one.traits.has(trait)
}

/** Log-likelihood ratio of the group's share of a trait against the baseline, in nats; at least 0. */
function evidence(trait: Trait, members: Remembered[], usual: Remembered[]): number {
  const n = members.length
  const share = members.filter((one) => shows(one, trait, members)).length / n
  const before = usual.filter((one) => hadBefore(one, trait)).length
  const habit = Math.min(0.95, (before + PRIOR_WEIGHT * traits[trait].usual) / (usual.length + PRIOR_WEIGHT))
  if (share <= habit) return 0
  const part = (p: number, q: number) => (p === 0 ? 0 : p * Math.log(p / q))
  return n * (part(share, habit) + part(1 - share, 1 - habit))
}
// Reviews of the shop that the general baseline is worth.
const PRIOR_WEIGHT = 8

/**
 * The probability of `count` or more events in a Poisson distribution. The terms are computed as logarithms, because
 * `exp(-mean)` underflows above a mean of about 745.
 */
export function tailOfPoisson(count: number, mean: number): number {
  if (count <= mean) return 1
  let logTerm = -mean
  for (let k = 1; k <= count; k++) logTerm += Math.log(mean / k)
  let term = Math.exp(logTerm)
  let tail = 0
  for (let k = count; term > tail * Number.EPSILON; k++) {
    tail += term
    term *= mean / (k + 1)
  }
  return Math.min(1, tail)
}
