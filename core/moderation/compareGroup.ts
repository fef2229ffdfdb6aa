import { litMarks } from '../formats/rating'
import { readWords, tripleHashes } from './reading'

/** The parts of a review that the comparison uses. */
export interface GroupMember {
  publicId: string
  title: string
  body: string
  /** Hundredths of five; null if there is none. */
  rating: number | null
  verified: boolean
  product: string
}

/** The difference from most of its group. */
const oddities = ['verified', 'rating', 'product', 'words'] as const
export type Oddity = (typeof oddities)[number]

/** The share of a group that has to agree before the others count as different. */
const MOST = 2 / 3
/** With less common word triples than this, a review has its own content. */
const OWN_WORDS_BELOW = 0.25
/** Larger groups are compared only up to this size. */
const LOOKED_AT = 120

/**
 * Whether most reviews of a group are equal, and which should be decided one by one, with the reason: a
 * verified buyer among others, another rating, another product, own text among copies.
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

/** The value of most of them; undefined if there is none. */
function prevailing<T>(values: T[]): T | undefined {
  const counts = new Map<T, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].find(([, count]) => count < values.length && count >= MOST * values.length)?.[0]
}

/** For each review, its largest similarity to another (Dice's coefficient of word triples, 0 to 1). */
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
