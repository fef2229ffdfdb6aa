import { normalizeText } from '../../formats/normalizeText'
import { isThrowAway } from '../throwAway'
import type { ReadArrival } from './arrival'

const HURRIED_SECONDS = 15
const FEW_WORDS = 6

/**
 * What the reviews of one attacker have in common. `most` is the maximum evidence in nats, for low ratings and for
 * others; what honest crowds share too has a low maximum. An attack needs a trait that is `hard` for its ratings:
 * guests on the shop's own network are pleased, and customers who are angry together sit in many places. `usual` is
 * the share of reviews with the trait, for shops without their own habit.
 */
export const traits = {
  words: { most: { low: 20, other: 20 }, hard: ['low', 'other'], usual: 0.02 },
  throwAway: { most: { low: 20, other: 20 }, hard: ['low', 'other'], usual: 0.02 },
  hurried: { most: { low: 8, other: 8 }, hard: ['low', 'other'], usual: 0.05 },
  strangeMailbox: { most: { low: 6, other: 5 }, hard: ['low', 'other'], usual: 0.3 },
  numberedMailbox: { most: { low: 8, other: 5 }, hard: ['low', 'other'], usual: 0.25 },
  address: { most: { low: 12, other: 2 }, hard: ['low'], usual: 0.02 },
  network: { most: { low: 8, other: 2 }, hard: ['low'], usual: 0.08 },
  newDomain: { most: { low: 4, other: 2 }, hard: [], usual: 0.02 },
  lowest: { most: { low: 4, other: 0 }, hard: [], usual: 0.6 },
  noProduct: { most: { low: 2, other: 2 }, hard: [], usual: 0.5 },
  fewWords: { most: { low: 3, other: 2 }, hard: [], usual: 0.25 },
  unverified: { most: { low: 3, other: 2 }, hard: [], usual: 0.7 },
} as const satisfies Record<string, TraitFacts>
interface TraitFacts {
  most: Record<RatingClass, number>
  hard: RatingClass[]
  usual: number
}
export type RatingClass = 'low' | 'other'
export type Trait = keyof typeof traits
export const traitNames = Object.keys(traits) as Trait[]
export const traitBit = (trait: Trait): number => 1 << traitNames.indexOf(trait)
export const bitsOf = (some: Trait[]): number => some.reduce((bits, trait) => bits | traitBit(trait), 0)

/** What one review shows alone; the other traits are found by comparing reviews. */
export const ownTraitNames = ['hurried', 'throwAway', 'strangeMailbox', 'numberedMailbox', 'low', 'lowest', 'noProduct', 'fewWords', 'verified', 'unverified'] as const // oxfmt-ignore
export type OwnTrait = (typeof ownTraitNames)[number]

export function ownTraits(arrival: ReadArrival): OwnTrait[] {
  return ownTraitNames.filter((trait) => own[trait](arrival))
}

const own: Record<OwnTrait, (arrival: ReadArrival) => boolean> = {
  hurried: ({ fillSeconds }) => fillSeconds !== null && fillSeconds < HURRIED_SECONDS,
  throwAway: ({ domain }) => domain !== '' && isThrowAway(domain),
  strangeMailbox: (arrival) => isStrangeEmail(arrival),
  numberedMailbox: ({ emailKey }) => /\d.*@/u.test(emailKey),
  low: ({ rating }) => rating !== null && rating <= 200,
  lowest: ({ rating }) => rating !== null && rating <= 100,
  noProduct: ({ product }) => product === '',
  fewWords: ({ reading }) => reading.words.length <= FEW_WORDS,
  verified: ({ verified }) => verified === true,
  unverified: ({ verified }) => verified === false,
}

/** An email address that contains nothing of its writer's name. */
function isStrangeEmail({ emailKey, authorName }: Pick<ReadArrival, 'emailKey' | 'authorName'>): boolean {
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
