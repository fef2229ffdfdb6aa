import { z } from 'zod'
import { reviewFilterSchema, type ReviewFilter } from '../../core/moderation/reviewFilter'

export const FIRST_SHOWN = 50
const MOST_SHOWN = 2000

/** What the address bar holds of the queue: the filter, how many of the list are shown, and whether the list is asked for. */
export interface QueueSearch extends ReviewFilter {
  show: number
}

const search = reviewFilterSchema.extend({
  show: z.coerce.number().int().min(FIRST_SHOWN).max(MOST_SHOWN).catch(FIRST_SHOWN),
})

/** Reads the queue's part of an address; what makes no sense there is left out. */
export function readQueueSearch(query: URLSearchParams): QueueSearch {
  return search.parse(Object.fromEntries(query))
}

/** The queue's part of an address, without what is plain anyway. */
export function queueQuery({ show = FIRST_SHOWN, ...filter }: Partial<QueueSearch>): string {
  const query = new URLSearchParams()
  for (const [name, value] of Object.entries(filter))
    if (value !== undefined && !(name === 'sort' && value === 'newest')) query.set(name, String(value))
  if (show > FIRST_SHOWN) query.set('show', String(Math.min(show, MOST_SHOWN)))
  return query.toString()
}

/** The address of a lane, or of a review in it. */
export function queuePath(shop: string, review: string | null, search: Partial<QueueSearch>): string {
  const query = queueQuery(search)
  return `/s/${shop}/decide${review ? `/${review}` : ''}${query && `?${query}`}`
}

/** The address of a lane's list itself, where there is no room for list and review side by side. */
export function listPath(shop: string, search: Partial<QueueSearch>): string {
  const query = queueQuery(search)
  return `/s/${shop}/decide?${query && `${query}&`}list`
}
