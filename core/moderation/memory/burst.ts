import {
  LONGEST_MS,
  limitOf,
  mayBeAttack,
  MAX_COMPARED_FOR_WORDS,
  MIN_CROWD_SIZE,
  strongestWindow,
  type Finding,
} from './attackEvidence'
import { belongs, unbroken } from './attackMembers'
import { ArrivalLine, remembered, type Remembered } from './arrivalLine'
import type { Fingerprint } from './fingerprint'
import { expected, habitOf, type Habit } from './habit'
import { sharedBits } from './sharedBits'
import { bitsOf, traitBit, traitNames, traits, type Trait } from './traits'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS
const BASELINE_MS = 60 * DAY_MS
// A day more for reviews that arrive out of order.
const MAX_AGE_MS = BASELINE_MS + LONGEST_MS + DAY_MS
const MAX_IN_WINDOW = 1500
/** A job holds these back if nobody has decided on them; those before were told to earlier jobs. */
const MAX_MEMBERS_TOLD = 200
/** While an attack goes on, others of its kind may join if this many times as many come as usual. */
const MIN_RATE_TO_JOIN = 10

export interface Burst {
  /** Ids of the latest earlier members, the latest first. */
  members: string[]
  /** The strongest first. */
  shared: Trait[]
  /** Length of the window. */
  hours: number
  /** Members in the window, with this one. */
  count: number
}

/** An attack that goes on. */
interface Attack {
  low: boolean
  /** Traits that each member has, as bits. */
  bits: number
  shared: Trait[]
  members: Remembered[]
  lastAt: number
}

/** Finds attacks among a shop's reviews. */
export class BurstWatch {
  private line = new ArrivalLine(MAX_AGE_MS)
  private attack: Attack | null = null

  /** @param akin ids of earlier reviews that share wording */
  compareAndRemember(arrival: Fingerprint, akin: Iterable<string>): Burst | null {
    const one = remembered(arrival)
    if (!one) return null
    this.noteAkin(one, akin)
    const burst = one.verified ? null : this.burstOf(one)
    this.line.insert(one)
    return burst
  }

  remember(arrival: Fingerprint): void {
    const one = remembered(arrival)
    if (one) this.line.insert(one)
  }

  forget(id: string): void {
    this.line.forget(id)
    if (this.attack) this.attack.members = this.attack.members.filter((member) => member.id !== id)
  }

  private noteAkin(one: Remembered, akin: Iterable<string>): void {
    const compared = Math.min(this.line.all.length, MAX_COMPARED_FOR_WORDS)
    let latest = 0
    for (const id of akin) {
      const other = this.line.find(id)
      if (!other) continue
      other.akinTo = one
      if (this.line.all.indexOf(other, this.line.all.length - compared) >= 0) latest++
    }
    if (compared >= MIN_CROWD_SIZE) one.akinShare = latest / compared
  }

  private burstOf(one: Remembered): Burst | null {
    const { all } = this.line
    const end = this.line.firstAfter(one.at)
    const first = Math.max(this.line.firstAfter(one.at - LONGEST_MS), end - MAX_IN_WINDOW)
    if (end - first < MIN_CROWD_SIZE - 1) return null
    // Nobody can join it any more.
    if (this.attack && one.at - this.attack.lastAt > LONGEST_MS) this.attack = null
    if (!this.attack && !mayBeAttack(one, this.line, first, end)) return null
    const habit = habitOf(one, all, this.line.firstAfter(one.at - LONGEST_MS - BASELINE_MS), first)
    const found = strongestWindow(one, all, { first, end }, habit)
    if (!found || found.evidence < limitOf(habit)) return this.joined(one, habit)
    const shared = found.shared.map(({ trait }) => trait)
    const members = unbroken(one, this.membersLike(one, shared, found, end, habit))
    if (members.length < MIN_CROWD_SIZE - 1) return null
    const bits = one.low ? 0 : bitsOf(shared.filter((trait) => isOwn(trait) && traits[trait].hard.length > 0))
    return this.told({ low: one.low, bits, shared, members }, one)
  }

  private told(attack: Omit<Attack, 'lastAt'>, one: Remembered): Burst {
    const { members, shared } = attack
    one.inAttack = true
    for (const member of members) member.inAttack = true
    this.attack = { ...attack, members: [...members, one].slice(-MAX_IN_WINDOW), lastAt: one.at }
    return {
      members: members
        .slice(-MAX_MEMBERS_TOLD)
        .map(({ id }) => id)
        .reverse(),
      shared,
      hours: Math.max(1, Math.round((one.at - members[0]!.at) / HOUR_MS)),
      count: members.length + 1,
    }
  }

  private membersLike(
    one: Remembered,
    shared: Trait[],
    { from }: Finding,
    end: number,
    habit: Habit,
  ): Remembered[] {
    const ofClass = this.line.all.slice(from, end).filter((other) => other.low === one.low && !other.verified)
    const isRush = ofClass.length >= MIN_RATE_TO_JOIN * expected(one.at - this.line.all[from]!.at, 1, habit)
    if (one.low && isRush) return ofClass.filter((other) => belongs(other, ofClass))
    const bits = bitsOf(shared)
    const half = Math.ceil(shared.length / 2)
    return ofClass.filter((other) => bitsIn(sharedBits(one, other) & bits) >= half)
  }

  /** Whether it came while an attack of its kind goes on, and hardly any other of the kind would. */
  private joined(one: Remembered, habit: Habit): Burst | null {
    const { attack } = this
    if (!attack || attack.low !== one.low) return null
    const isAkin = attack.shared.includes('words') && attack.members.some(({ akinTo }) => akinTo === one)
    const isAlike = one.low
      ? belongs(one, attack.members)
      : attack.bits !== 0 && (attack.bits & ~one.bits) === 0
    if (!isAkin && !isAlike) return null
    const members = unbroken(
      one,
      attack.members.filter(({ at }) => at > one.at - LONGEST_MS),
    )
    if (members.length < MIN_CROWD_SIZE - 1) return null
    const span = Math.max(HOUR_MS, one.at - members[0]!.at)
    const bits = isAkin ? traitBit('words') : attack.bits
    const share = traitNames.reduce(
      (all, trait, t) => ((bits & traitBit(trait)) === 0 ? all : all * habit.ofTraits[t]!),
      1,
    )
    if (members.length < MIN_RATE_TO_JOIN * expected(span, share, habit)) return null
    return this.told({ ...attack, members }, one)
  }
}

const isOwn = (trait: Trait) => !['words', 'network', 'address', 'newDomain'].includes(trait)

function bitsIn(bits: number): number {
  let count = 0
  for (let left = bits; left !== 0; left &= left - 1) count++
  return count
}
