import { z } from 'zod'

export const selectionOrders = ['newest', 'highest'] as const
export const MOST_SHOWN = 50

/** Which reviews a display shows. */
export const selectionSchema = z.object({
  limit: z.number().int().min(1).max(MOST_SHOWN),
  lowestRating: z.number().int().min(1).max(5),
  order: z.enum(selectionOrders),
})
export type Selection = z.infer<typeof selectionSchema>
export type SelectionOrder = Selection['order']

/** What picking needs to know of a review. Ratings are hundredths of five; `writtenAt` is UTC ISO-8601 text. */
export interface Pickable {
  id: number
  rating: number | null
  writtenAt: string
}

const newestFirst = (a: Pickable, b: Pickable) => b.writtenAt.localeCompare(a.writtenAt) || b.id - a.id

const comparing: Record<SelectionOrder, (a: Pickable, b: Pickable) => number> = {
  newest: newestFirst,
  highest: (a, b) => (b.rating ?? 0) - (a.rating ?? 0) || newestFirst(a, b),
}

/** Whether a rating is high enough; one under 1.5 asks for nothing, so that unrated reviews stay too. */
export function ratedAtLeast(rating: number | null, lowestRating: number): boolean {
  return lowestRating <= 1 || (rating !== null && rating >= lowestRating * 100)
}

/** The reviews that a selection shows, in its order. */
export function pick<R extends Pickable>(reviews: R[], { lowestRating, order, limit }: Selection): R[] {
  return reviews
    .filter((review) => ratedAtLeast(review.rating, lowestRating))
    .sort(comparing[order])
    .slice(0, limit)
}
