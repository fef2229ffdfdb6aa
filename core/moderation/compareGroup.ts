import { litMarks } from '../formats/rating'
import { readWords, tripleHashes } from './reading'

/** A review of a group, as far as telling it from the others reads it. */
export interface GroupMember {
  publicId: string
  title: string
  body: string
  /** Hundredths of five; null for none. */
  rating: number | null
  verified: boolean
  product: string
}

/** What sets a review apart from most of its group. */
export const oddities = ['verified', 'rating', 'product', 'words'] as const
export type Oddity = (typeof oddities)[number]

/** So large a share of a group must agree before one that does not is odd. */
const MOST = 2 / 3
/** Below this share of its word triples in common with its likest, a review says something of its own. */
const OWN_WORDS_BELOW = 0.25
/** A group is looked at this far; in larger ones the rest is like them. */
const LOOKED_AT = 120

/**
 * Whether most of a group say the same, and those that had better be decided by themselves, with what sets each apart:
 * a verified buyer among strangers, another rating, another product, words of her own among copies.
 */
export function compareGroup(members: GroupMember[]): { odd: Map<string, Oddity[]>; sameWords: boolean } {
  const some = members.slice(0, LOOKED_AT)
  const likeness = likest(some)
  const own = some.map((_, i) => likeness[i]! < OWN_WORDS_BELOW)
  const found = new Map<string, Oddity[]>()
  const note = (oddity: Oddity, isOdd: (member: GroupMember, i: number) => boolean) =>
    some.forEach((member, i) => {
      if (isOdd(member, i)) found.set(member.publicId, [...(found.get(member.publicId) ?? []), oddity])
    })
  const verified = prevailing(some.map((member) => member.verified))
  if (verified === false) note('verified', (member) => member.verified)
  const rating = prevailing(some.map(markOf))
  if (rating !== undefined) note('rating', (member) => markOf(member) !== rating)
  const product = prevailing(some.map((member) => member.product))
  if (product !== undefined) note('product', (member) => member.product !== product)
  const sameWords = own.filter((alone) => !alone).length >= MOST * own.length
  if (sameWords) note('words', (_, i) => own[i]!)
  return { odd: found, sameWords }
}

const markOf = ({ rating }: GroupMember) => (rating === null ? 0 : litMarks(rating))

/** What most of them have, or undefined when no value prevails. */
function prevailing<T>(values: T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].find(([, count]) => count < values.length && count >= MOST * values.length)?.[0]
}

/** For each the largest share of word triples that it has in common with another (Dice's coefficient, 0 to 1). */
function likest(members: GroupMember[]): number[] {
  const triples = members.map(({ title, body }) => new Set(tripleHashes(readWords({ title, body }))))
  return triples.map((own, i) => {
    let most = 0
    triples.forEach((other, j) => {
      if (i === j || own.size + other.size === 0) return
      let common = 0
      for (const triple of own) if (other.has(triple)) common++
      most = Math.max(most, (2 * common) / (own.size + other.size))
    })
    return most
  })
}
