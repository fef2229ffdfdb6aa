import type { Fingerprint } from './fingerprint'
import { traitNames, traits, type Trait } from './traits'

/* A sudden crowd, told from an attack by what its members share beyond the shop's own habit. */

const HOUR_MS = 3_600_000
/** Stretches of time in which many at once are looked for. */
const SPANS_MS = [HOUR_MS, 6 * HOUR_MS, 24 * HOUR_MS, 72 * HOUR_MS]
const HABIT_MS = 60 * 24 * HOUR_MS
/** Sixty days before three; a day more for what comes out of order. */
const KEPT_MS = HABIT_MS + 4 * 24 * HOUR_MS
const DROPPED_AT_ONCE = 1000
/** Fewer than this are no crowd. */
const CROWD_FROM = 6
/** A crowd is sudden when the shop's habit makes it this unlikely. */
const SUDDEN_BELOW = 0.001
/** Evidence, in nats, from which a sudden crowd is an attack; without a hard trait it takes more. */
const ATTACK_FROM = 11
const SOFT_ATTACK_FROM = 14
const HARD_FROM = 3
/** With fewer arrivals than this before, what is usual is a guess, and an attack takes so much more. */
const SURE_FROM = 20
const UNSURE_MORE = 3
/** How many neighbours an arrival's words and network are compared with. */
const NEIGHBOURS = 40
/** How many of a crowd are looked at, the latest. */
const LOOKED_AT = 200
/** How many earlier arrivals show what is usual. */
const HABIT_AT_MOST = 400

export interface Burst {
  /** Earlier members, the latest first. */
  members: string[]
  /** What they share, the weightiest first. */
  shared: Trait[]
  /** Hours that the crowd came in. */
  hours: number
  /** How many came in them, this one included. */
  count: number
}

interface Remembered {
  id: string
  at: number
  network: string
  domain: string
  traits: Set<Trait>
  /** Neighbours of three days with the same turns of phrase, and on the same network. */
  company: { words?: Set<Remembered>; network?: Set<Remembered> }
}
/** What an arrival shows only beside others. */
type CompanyTrait = keyof Remembered['company']
/** So large a share of the others must go with an arrival before it has company: in a crowd some always do. */
const COMPANY_SHARE = 0.15

/** Remembers a shop's arrivals in the order of their time. */
export class BurstWatch {
  private arrivals: Remembered[] = []

  /**
   * Whether an arrival belongs to an attack, going by those remembered; then it is remembered too.
   * @param akin ids of earlier ones with turns of phrase in common
   */
  watch(arrival: Fingerprint, akin: Set<string>): Burst | null {
    const one = remembered(arrival)
    if (!one) return null
    const end = this.firstAfter(one.at)
    this.addCompany(one, end, akin)
    const burst = this.burstOf(one, end)
    this.insert(one, end)
    return burst
  }

  /** Remembers an arrival without a look at those around it. */
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
      for (const other of one!.company[trait] ?? []) {
        other.company[trait]!.delete(one!)
        if (other.company[trait]!.size === 0) delete other.company[trait]
      }
  }

  /** What is older than any habit looks back, some at a time. */
  private dropOld(): void {
    const newest = this.arrivals.at(-1)!.at
    const old = this.firstAfter(newest - KEPT_MS)
    if (old < DROPPED_AT_ONCE) return
    // What remains would hold the dropped ones as its neighbours.
    for (const one of this.arrivals.splice(0, old)) one.company = {}
  }

  /** The traits that an arrival shows beside its neighbours of three days; they take them on too. */
  private addCompany(one: Remembered, end: number, akin: Set<string>): void {
    const from = Math.max(this.firstAfter(one.at - SPANS_MS.at(-1)!), end - NEIGHBOURS)
    let strangers = 0
    for (let i = from; i < end; i++) {
      const other = this.arrivals[i]!
      if (one.network !== '' && other.network === one.network) meet(one, other, 'network')
      if (other.domain === one.domain) strangers++
      if (akin.has(other.id)) meet(one, other, 'words')
    }
    if (one.domain === '' || strangers < 2) return
    if (this.knowsDomain(one.domain, from)) return
    for (const other of this.arrivals.slice(from, end))
      if (other.domain === one.domain) {
        one.traits.add('newDomain')
        other.traits.add('newDomain')
      }
  }

  /** Whether a mail domain came before a place, within what shows the habit. */
  private knowsDomain(domain: string, from: number): boolean {
    for (let i = from - 1; i >= 0 && i >= from - HABIT_AT_MOST; i--)
      if (this.arrivals[i]!.domain === domain) return true
    return false
  }

  private burstOf(one: Remembered, end: number): Burst | null {
    for (const span of SPANS_MS) {
      const from = this.firstAfter(one.at - span)
      const count = end - from + 1
      if (count < CROWD_FROM || !this.isSudden(count, from, span, one.at)) continue
      const burst = this.attack(one, from, end, span)
      if (burst) return burst
    }
    return null
  }

  /** Poisson's law with the rate of the sixty days before: how likely so many, or more, would be. */
  private isSudden(count: number, from: number, span: number, at: number): boolean {
    const start = this.firstAfter(at - span - HABIT_MS)
    const days = from > start ? at - span - this.arrivals[start]!.at : 0
    // One a day stands in for a habit that is not there yet.
    const perMs = (from - start + 2) / (days + 2 * 24 * HOUR_MS)
    return tailOfPoisson(count, perMs * span) < SUDDEN_BELOW
  }

  private attack(one: Remembered, from: number, end: number, span: number): Burst | null {
    const members = [...this.arrivals.slice(Math.max(from, end - LOOKED_AT), end), one]
    const usual = this.arrivals.slice(Math.max(0, from - HABIT_AT_MOST), from)
    const weighed = traitNames
      .filter((trait) => shows(one, trait, members))
      .map((trait) => ({ trait, weight: Math.min(traits[trait].most, evidence(trait, members, usual)) }))
      .filter(({ weight }) => weight > 0)
      .sort((a, b) => b.weight - a.weight)
    const all = weighed.reduce((sum, { weight }) => sum + weight, 0)
    const hard = weighed.some(({ trait, weight }) => traits[trait].hard && weight >= HARD_FROM)
    const unsure = usual.length < SURE_FROM ? UNSURE_MORE : 0
    if (all < (hard ? ATTACK_FROM : SOFT_ATTACK_FROM) + unsure) return null
    const shared = weighed.filter(({ weight }) => weight >= 1).map(({ trait }) => trait)
    const half = Math.ceil(shared.length / 2)
    return {
      members: members
        .slice(0, -1)
        .filter((member) => shared.filter((trait) => shows(member, trait, members)).length >= half)
        .map(({ id }) => id)
        .reverse(),
      shared,
      hours: Math.round(span / HOUR_MS),
      count: end - from + 1,
    }
  }

  /** Place of the first arrival later than a moment, which mostly lies near the end, so that is looked at first. */
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

function remembered({ id, at, network, domain, traits }: Fingerprint): Remembered | null {
  return at === null ? null : { id, at, network, domain, traits: new Set(traits), company: {} }
}

function meet(one: Remembered, other: Remembered, trait: CompanyTrait): void {
  ;(one.company[trait] ??= new Set()).add(other)
  ;(other.company[trait] ??= new Set()).add(one)
}

/** Whether an arrival shows a trait among others: by itself, or because enough of them go with it. */
function shows(one: Remembered, trait: Trait, others: Remembered[]): boolean {
  if (trait !== 'words' && trait !== 'network') return one.traits.has(trait)
  const own = one.company[trait]
  if (!own) return false
  const company = others.length <= NEIGHBOURS ? others.filter((other) => own.has(other)).length : own.size
  return company >= Math.max(1, COMPANY_SHARE * (Math.min(others.length, NEIGHBOURS) - 1))
}

/**
 * How much more often a crowd shows a trait than is usual: the log-likelihood ratio of its own share against the
 * habit's, in nats; 0 where it shows it no more often.
 */
function evidence(trait: Trait, members: Remembered[], usual: Remembered[]): number {
  const n = members.length
  const share = members.filter((one) => shows(one, trait, members)).length / n
  const before = usual.filter((one) =>
    trait === 'words' || trait === 'network' ? one.company[trait] !== undefined : one.traits.has(trait),
  ).length
  const habit = Math.min(0.95, (before + PRIOR_WEIGHT * traits[trait].usual) / (usual.length + PRIOR_WEIGHT))
  if (share <= habit) return 0
  const part = (p: number, q: number) => (p === 0 ? 0 : p * Math.log(p / q))
  return n * (part(share, habit) + part(1 - share, 1 - habit))
}
/** What is usual anywhere counts as much as so many arrivals of the shop's own. */
const PRIOR_WEIGHT = 8

/**
 * The chance of `count` or more where `mean` are expected (Poisson's law), summed from there on in logarithms, since
 * `exp(-mean)` is nothing from about 745 on.
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
