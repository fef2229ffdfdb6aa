import { litMarks } from '../formats/rating'
import type { Facets } from './facets'
import type { RatingTally } from './ratingTally'
import { newestFirst } from './selection'

/** What a balanced order looks at. `writtenAt` is UTC as ISO 8601, `rating` in hundredths of five stars. */
export interface Balanceable extends Pick<Facets, 'rating' | 'productSku' | 'language' | 'verified'> {
  id: number
  publicId: string
  writtenAt: string
  /** The number of its words. */
  length: number
  hasPhoto: boolean
  themes: string[]
}

/** Why a review stands where it does: what it brings that those before it lack, or that it is the best of its rating. */
export type BalanceReason =
  | { kind: 'product' | 'short' | 'long' | 'photo' | 'recent' | 'older' | 'verified' | 'best' }
  | { kind: 'theme'; theme: string }
  | { kind: 'language'; language: string }

export interface Balanced {
  publicId: string
  reason: BalanceReason
  /** 1 to 5, null without a rating. */
  mark: number | null
}

const SHORT = 15
const LONG = 60
const weights = {
  product: 1,
  theme: 0.8,
  length: 0.5,
  period: 0.6,
  language: 0.4,
  photo: 0.35,
  verified: 0.5,
}

/**
 * All of some reviews in a balanced order, each with its reason. The rating of the next one is that which its share
 * among all ratings is owed most (highest averages by odd divisors, Sainte-Laguë 1910), so that every beginning of the
 * order has about the mix of all. Among its reviews the one is next that brings most of what is new: its product,
 * themes, length, time and language, each counting less the more often it stood before; and a photo, a purchase and
 * enough words count for it. Equal ones follow newest first. The time is quadratic in the number of reviews.
 */
export function balancedOrder(reviews: Balanceable[], all: Pick<RatingTally, 'byMark'>): Balanced[] {
  const sorted = reviews.toSorted(newestFirst)
  const middle = sorted[Math.floor(sorted.length / 2)]?.writtenAt ?? ''
  const left = new Map<number | null, Balanceable[]>()
  for (const review of sorted) {
    const mark = markOf(review)
    left.set(mark, [...(left.get(mark) ?? []), review])
  }
  const shares = sharesOf(left, all, sorted.length)
  const taken = new Map<number | null, number>()
  const stood = new Map<string, number>()
  const order: Balanced[] = []
  while (order.length < sorted.length) {
    const mark = nextMark(left, shares, taken)
    const open = left.get(mark)!
    let best = { index: 0, score: -1, parts: [] as Part[] }
    open.forEach((review, index) => {
      const parts = partsOf(review, middle)
      const score = parts.reduce((sum, part) => sum + gainOf(part, stood), qualityOf(review))
      if (score > best.score) best = { index, score, parts }
    })
    const [review] = open.splice(best.index, 1) as [Balanceable]
    order.push({ publicId: review.publicId, mark, reason: reasonOf(best.parts, stood, review) })
    for (const { key } of best.parts) stood.set(key, (stood.get(key) ?? 0) + 1)
    taken.set(mark, (taken.get(mark) ?? 0) + 1)
  }
  return order
}

const markOf = ({ rating }: Balanceable) => (rating === null ? null : litMarks(rating))

/** Of each rating among all; reviews without a rating have their share among those given. */
function sharesOf(
  left: Map<number | null, Balanceable[]>,
  { byMark }: Pick<RatingTally, 'byMark'>,
  count: number,
): Map<number | null, number> {
  const rated = byMark.reduce((sum, times) => sum + times, 0)
  const unrated = (left.get(null)?.length ?? 0) / count
  return new Map(
    [...left.keys()].map((mark) => [
      mark,
      mark === null ? unrated : rated === 0 ? 1 : ((1 - unrated) * byMark[mark - 1]!) / rated,
    ]),
  )
}

function nextMark(
  left: Map<number | null, Balanceable[]>,
  shares: Map<number | null, number>,
  taken: Map<number | null, number>,
): number | null {
  const averages = [...left]
    .filter(([, reviews]) => reviews.length > 0)
    .map(([mark]) => ({ mark, average: (shares.get(mark) ?? 0) / (2 * (taken.get(mark) ?? 0) + 1) }))
  return averages.toSorted((a, b) => b.average - a.average || (b.mark ?? 0) - (a.mark ?? 0))[0]!.mark
}

interface Part {
  key: string
  weight: number
  reason: BalanceReason
}

function partsOf(review: Balanceable, middle: string): Part[] {
  const { productSku, themes, length, writtenAt, language } = review
  const parts: Part[] = themes.map((theme) => ({
    key: `theme ${theme}`,
    weight: weights.theme / Math.max(2, themes.length),
    reason: { kind: 'theme', theme },
  }))
  if (productSku)
    parts.push({ key: `product ${productSku}`, weight: weights.product, reason: { kind: 'product' } })
  if (language)
    parts.push({
      key: `language ${language}`,
      weight: weights.language,
      reason: { kind: 'language', language },
    })
  const size = length <= SHORT ? 'short' : length > LONG ? 'long' : null
  parts.push({ key: `length ${size}`, weight: weights.length, reason: { kind: size ?? 'best' } })
  const age = writtenAt < middle ? 'older' : 'recent'
  parts.push({ key: `period ${age}`, weight: weights.period, reason: { kind: age } })
  return parts
}

/** A half after one that stood before, a third after two. */
const gainOf = ({ key, weight }: Part, stood: Map<string, number>) => weight / (1 + (stood.get(key) ?? 0))

const qualityOf = ({ length, hasPhoto, verified }: Balanceable) =>
  Math.min(length, LONG) / LONG + (hasPhoto ? weights.photo : 0) + (verified ? weights.verified : 0)

/** The kinds of reasons, the most telling first. */
const telling: BalanceReason['kind'][] = ['product', 'theme', 'language', 'short', 'long', 'older', 'recent']

/** What nobody before it brought; otherwise what counts for it. */
function reasonOf(
  parts: Part[],
  stood: Map<string, number>,
  { hasPhoto, verified }: Balanceable,
): BalanceReason {
  const isNew = parts.filter(({ key, reason }) => !stood.has(key) && reason.kind !== 'best')
  const [first] = isNew.toSorted((a, b) => telling.indexOf(a.reason.kind) - telling.indexOf(b.reason.kind))
  if (stood.size > 0 && first) return first.reason
  if (hasPhoto) return { kind: 'photo' }
  return verified ? { kind: 'verified' } : { kind: 'best' }
}
