import { median } from 'd3-array'
import type { Remembered } from './arrivalLine'
import { sharedBits } from './sharedBits'
import { bitsOf, traitNames, traits } from './traits'

const HOUR_MS = 3_600_000

/** Traits that most angry customers do not have. */
const TELLING = bitsOf(traitNames.filter((trait) => traits[trait].hard.length > 0 || trait === 'fewWords'))

/** Whether one has a telling trait in common with some of the members. */
export function belongs(one: Remembered, members: Remembered[]): boolean {
  const latest = members.slice(-MAX_MEMBERS_COMPARED)
  const alike = latest.filter((member) => member !== one && (sharedBits(one, member) & TELLING) !== 0)
  return alike.length >= MIN_SHARE_ALIKE * latest.length
}
const MIN_SHARE_ALIKE = 0.15
const MAX_MEMBERS_COMPARED = 60

/**
 * The latest of some arrivals that follow each other up to one: between two are at most six hours, or twenty times what
 * is usual among them: slow attackers sleep too.
 */
export function unbroken({ at }: Remembered, members: Remembered[]): Remembered[] {
  const gaps = members.map((member, i) => (members[i + 1]?.at ?? at) - member.at)
  const longest = Math.max(6 * HOUR_MS, 20 * (median(gaps) ?? 0))
  return members.slice(gaps.findLastIndex((gap) => gap > longest) + 1)
}
