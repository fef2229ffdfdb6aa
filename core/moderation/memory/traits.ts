import { normalizeText } from '../../formats/normalizeText'
import { isThrowAway } from '../throwAway'
import type { ReadArrival } from './arrival'

const HURRIED_SECONDS = 15
const FEW_WORDS = 6

/**
 * Traits that reviews of one attacker share. `most` is the maximum evidence in nats; traits that honest groups share too
 * have a low maximum. `usual` is the share of reviews with the trait, for shops without their own baseline.
 */
export const traits = {
  words: { most: 8, hard: true, usual: 0.1 },
  hurried: { most: 6, hard: true, usual: 0.1 },
  throwAway: { most: 6, hard: true, usual: 0.03 },
  strangeMailbox: { most: 4, hard: true, usual: 0.35 },
  network: { most: 5, hard: false, usual: 0.15 },
  low: { most: 4, hard: false, usual: 0.15 },
  // Guests on the shop's own network are pleased, and customers who are angry together sit in many places.
  lowOnNetwork: { most: 8, hard: true, usual: 0.03 },
  high: { most: 2, hard: false, usual: 0.6 },
  noProduct: { most: 3, hard: false, usual: 0.5 },
  fewWords: { most: 3, hard: false, usual: 0.3 },
  newDomain: { most: 3, hard: false, usual: 0.2 },
} as const
export type Trait = keyof typeof traits
export const traitNames = Object.keys(traits) as Trait[]

/** Traits of a single review. Shared wording and networks are found by comparing reviews. */
export function ownTraits(arrival: ReadArrival): Trait[] {
  return ownTraitNames.filter((trait) => own[trait](arrival))
}

const own = {
  hurried: ({ fillSeconds }: ReadArrival) => fillSeconds !== null && fillSeconds < HURRIED_SECONDS,
  throwAway: ({ domain }: ReadArrival) => domain !== '' && isThrowAway(domain),
  strangeMailbox: (arrival: ReadArrival) => isStrangeEmail(arrival),
  low: ({ rating }: ReadArrival) => rating !== null && rating <= 200,
  high: ({ rating }: ReadArrival) => rating !== null && rating >= 450,
  noProduct: ({ product }: ReadArrival) => product === '',
  fewWords: ({ reading }: ReadArrival) => reading.words.length <= FEW_WORDS,
}
const ownTraitNames = Object.keys(own) as (keyof typeof own)[]

/** An email address that contains nothing of its writer's name. */
export function isStrangeEmail({
  emailKey,
  authorName,
}: Pick<ReadArrival, 'emailKey' | 'authorName'>): boolean {
  if (emailKey === '' || authorName.trim() === '') return false
  const person = emailKey.slice(0, emailKey.lastIndexOf('@'))
  const name = authorName.toLowerCase()
  // Addresses usually contain the beginning of a name.
  if (person.length > 3 && name.includes(person.slice(0, 4))) return false
  const parts = normalizeText(authorName)
    .split(/[^a-z]+/u)
    .filter((part) => part.length > 1)
  return parts.length > 0 && !parts.some((part) => person.includes(part.slice(0, 4)))
}
