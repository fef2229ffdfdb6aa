import { litMarks } from '../formats/rating'
import type { Facets } from './facets'
import type { PlainOrder } from './selectionOrders'
import type { Selection } from './selectionSchema'

export type { Selection }

export const anyRating = [1, 2, 3, 4, 5]

export const everything: Selection = {
  limit: 6,
  ratings: anyRating,
  products: { kind: 'every' },
  tags: [],
  sources: [],
  listings: [],
  forms: [],
  languages: [],
  verifiedOnly: false,
  withWords: false,
  withPhotos: false,
  writtenFrom: '',
  writtenUntil: '',
  order: 'newest',
  pins: [],
  leftOut: [],
  hand: [],
}

/** `writtenAt` is UTC as ISO 8601. */
export interface Pickable extends Facets {
  id: number
  publicId: string
  writtenAt: string
  tags: string[]
}

/** Product and limit from the embed code. */
export interface Page {
  product?: string
  limit?: number
}

export const newestFirst = (
  a: Pick<Pickable, 'writtenAt' | 'id'>,
  b: Pick<Pickable, 'writtenAt' | 'id'>,
): number => (a.writtenAt < b.writtenAt ? 1 : a.writtenAt > b.writtenAt ? -1 : b.id - a.id)

const sameSku = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()

/** Null is the shop in general. */
export function scopeOf({ products }: Selection, page: Page = {}): string[] | null {
  if (page.product) return [page.product]
  return products.kind === 'chosen' ? products.skus : null
}

export function inScope({ productSku }: Pick<Pickable, 'productSku'>, scope: string[] | null): boolean {
  return scope === null || (productSku !== null && scope.some((sku) => sameSku(sku, productSku)))
}

export const asksForRatings = (ratings: number[]): boolean => ratings.length < 5

/** A selection of all five ratings includes reviews without a rating. */
export function ratedAmong(rating: number | null, ratings: number[]): boolean {
  return !asksForRatings(ratings) || (rating !== null && ratings.includes(litMarks(rating)))
}

/** Checks neither products, tags, dates nor pins. */
export function hasFacetsOf(
  review: Facets,
  { ratings, sources, listings, forms, languages, verifiedOnly, withWords, withPhotos }: Selection,
): boolean {
  return (
    ratedAmong(review.rating, ratings) &&
    (sources.length + listings.length + forms.length === 0 ||
      (sources as string[]).includes(review.source) ||
      (review.listing !== null && listings.includes(review.listing)) ||
      (review.form !== null && forms.includes(review.form))) &&
    (languages.length === 0 || languages.includes(review.language ?? '')) &&
    (!verifiedOnly || review.verified) &&
    (!withWords || review.hasText) &&
    (!withPhotos || review.hasPhoto)
  )
}

const hasTagOf = ({ tags }: Pick<Pickable, 'tags'>, selection: Pick<Selection, 'tags'>): boolean =>
  selection.tags.length === 0 || selection.tags.some((tag) => tags.includes(tag))

type Comparable = Pick<Pickable, 'rating' | 'verified' | 'writtenAt' | 'id'>

/** Above the highest rating, in hundredths of five stars. */
const UNRATED_LAST = 600

export const comparing: Record<PlainOrder, (a: Comparable, b: Comparable) => number> = {
  newest: newestFirst,
  highest: (a, b) => (b.rating ?? 0) - (a.rating ?? 0) || newestFirst(a, b),
  lowest: (a, b) => (a.rating ?? UNRATED_LAST) - (b.rating ?? UNRATED_LAST) || newestFirst(a, b),
  verified: (a, b) => Number(b.verified) - Number(a.verified) || newestFirst(a, b),
}

/** A balanced order is given as one by hand, since it depends on more than single reviews (`balance.ts`). */
function inOrder<R extends Pickable>(reviews: R[], { order, hand }: Selection): R[] {
  if (order === 'balanced') throw new RangeError('a balanced order is resolved before')
  if (order !== 'hand') return reviews.toSorted(comparing[order])
  const place = new Map(hand.map((id, i) => [id, i]))
  const placeOf = ({ publicId }: R) => place.get(publicId) ?? hand.length
  return reviews.toSorted((a, b) => placeOf(a) - placeOf(b) || newestFirst(a, b))
}

function fits(selection: Selection): (review: Pickable) => boolean {
  const out = new Set(selection.leftOut)
  const byHand = new Set(selection.order === 'hand' ? selection.hand : [])
  return (review) =>
    !out.has(review.publicId) &&
    (byHand.has(review.publicId) || (hasFacetsOf(review, selection) && hasTagOf(review, selection)))
}

const inScopeOf = <R extends Pickable>(reviews: R[], selection: Selection, page: Page) => {
  const scope = scopeOf(selection, page)
  return reviews.filter((review) => inScope(review, scope))
}

/** All matching reviews in order, without limit and pins. */
export function fitting<R extends Pickable>(reviews: R[], selection: Selection, page: Page = {}): R[] {
  return inOrder(inScopeOf(reviews, selection, page).filter(fits(selection)), selection)
}

/** The selected reviews in order. Pinned reviews are included even if they do not match, if the product does. */
export function pick<R extends Pickable>(reviews: R[], selection: Selection, page: Page = {}): R[] {
  const limit = page.limit ?? selection.limit
  const pins = pinsIn(inScopeOf(reviews, selection, page), selection)
  const pinned = new Set(pins.map(({ review }) => review.publicId))
  const rest = fitting(reviews, selection, page)
    .filter(({ publicId }) => !pinned.has(publicId))
    .slice(0, Math.max(0, limit - pins.length))
  for (const { at, review } of pins) rest.splice(Math.min(at, rest.length), 0, review)
  return rest.slice(0, limit)
}

function pinsIn<R extends Pickable>(scope: R[], { pins, leftOut }: Selection): { at: number; review: R }[] {
  if (pins.length === 0) return []
  const byId = new Map(scope.map((review) => [review.publicId, review]))
  return pins
    .filter(({ review }) => !leftOut.includes(review))
    .toSorted((a, b) => a.at - b.at)
    .map(({ review, at }) => ({ at, review: byId.get(review) }))
    .filter((pin): pin is { at: number; review: R } => pin.review !== undefined)
}
