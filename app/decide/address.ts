import { z } from 'zod'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'

export const FIRST_SHOWN = 50

/** What the address bar holds of the queue. A rating is 1 to 5. */
export interface QueueSearch {
  lane?: ReviewState
  rating?: number
  show: number
}

const search = z.object({
  lane: z.enum(reviewStates).optional().catch(undefined),
  rating: z.coerce.number().int().min(1).max(5).optional().catch(undefined),
  show: z.coerce.number().int().min(FIRST_SHOWN).max(2000).catch(FIRST_SHOWN),
})

/** Reads the queue's part of an address; what makes no sense there is left out. */
export function readQueueSearch(request: Request): QueueSearch {
  return search.parse(Object.fromEntries(new URL(request.url).searchParams))
}

/** The address of a lane, or of a review in it. */
export function queuePath(
  shop: string,
  review: string | null,
  { lane, rating, show = FIRST_SHOWN }: Partial<QueueSearch>,
): string {
  const query = new URLSearchParams()
  if (lane) query.set('lane', lane)
  if (rating) query.set('rating', String(rating))
  if (show > FIRST_SHOWN) query.set('show', String(show))
  const asked = query.size > 0 ? `?${query}` : ''
  return `/s/${shop}/decide${review ? `/${review}` : ''}${asked}`
}

export function laneFilter(lane: ReviewState, rating: number | undefined) {
  return { state: lane, rating: rating === undefined ? null : rating * 100 }
}
