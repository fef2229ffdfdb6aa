import { normalizeText } from '../../formats/normalizeText'
import { isThrowAway } from '../throwAway'
import type { ReadArrival } from './arrival'

/** Below this, in seconds, a form was filled in in a hurry; what it says depends on the shop's habit. */
const HURRIED_SECONDS = 15
const FEW_WORDS = 6

/**
 * What arrivals of one hand have in common. `most` is how much each can weigh, in nats of evidence: some of them honest
 * crowds share too (a class at one table, a newsletter's readers), so that these alone never make an attack. `usual` is
 * the share of arrivals that show it where a shop has no habit of its own yet.
 */
export const traits = {
  words: { most: 8, hard: true, usual: 0.1 },
  hurried: { most: 6, hard: true, usual: 0.1 },
  throwAway: { most: 6, hard: true, usual: 0.03 },
  strangeMailbox: { most: 4, hard: true, usual: 0.35 },
  network: { most: 5, hard: false, usual: 0.15 },
  low: { most: 4, hard: false, usual: 0.15 },
  high: { most: 2, hard: false, usual: 0.6 },
  noProduct: { most: 3, hard: false, usual: 0.5 },
  fewWords: { most: 3, hard: false, usual: 0.3 },
  newDomain: { most: 3, hard: false, usual: 0.2 },
} as const
export type Trait = keyof typeof traits
export const traitNames = Object.keys(traits) as Trait[]

/** The traits that an arrival shows by itself; those of its company are found beside its neighbours. */
export function ownTraits(arrival: ReadArrival): Trait[] {
  return ownTraitNames.filter((trait) => own[trait](arrival))
}

const own = {
  hurried: ({ fillSeconds }: ReadArrival) => fillSeconds !== null && fillSeconds < HURRIED_SECONDS,
  throwAway: ({ domain }: ReadArrival) => domain !== '' && isThrowAway(domain),
  strangeMailbox: (arrival: ReadArrival) => isStrangeMailbox(arrival),
  low: ({ rating }: ReadArrival) => rating !== null && rating <= 200,
  high: ({ rating }: ReadArrival) => rating !== null && rating >= 450,
  noProduct: ({ product }: ReadArrival) => product === '',
  fewWords: ({ reading }: ReadArrival) => reading.words.length <= FEW_WORDS,
}
const ownTraitNames = Object.keys(own) as (keyof typeof own)[]

/** A email address that has nothing of its writer's name in it. */
export function isStrangeMailbox({
  mailbox,
  authorName,
}: Pick<ReadArrival, 'mailbox' | 'authorName'>): boolean {
  if (mailbox === '' || authorName.trim() === '') return false
  const person = mailbox.slice(0, mailbox.lastIndexOf('@'))
  const name = authorName.toLowerCase()
  // Nearly all that have one of their names in it have its beginning.
  if (person.length > 3 && name.includes(person.slice(0, 4))) return false
  const parts = normalizeText(authorName)
    .split(/[^a-z]+/u)
    .filter((part) => part.length > 1)
  return parts.length > 0 && !parts.some((part) => person.includes(part.slice(0, 4)))
}
