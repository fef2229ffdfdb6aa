import { z } from 'zod'
import { reviewFilterSchema, type ReviewFilter } from '../../core/moderation/reviewFilter'

export const FIRST_SHOWN = 50
const MOST_SHOWN = 2000

/** The queue's part of an address: the filter, the number of loaded reviews, and whether the list is open. */
export interface QueueSearch extends ReviewFilter {
  show: number
}

const search = reviewFilterSchema.extend({
  show: z.coerce.number().int().min(FIRST_SHOWN).max(MOST_SHOWN).catch(FIRST_SHOWN),
})

/** Invalid values are left out. */
export function readQueueSearch(query: URLSearchParams): QueueSearch {
  return search.parse(Object.fromEntries(query))
}

/** Defaults are left out. */
export function queueQuery({ show = FIRST_SHOWN, ...filter }: Partial<QueueSearch>): string {
  const query = new URLSearchParams()
  for (const [name, value] of Object.entries(filter))
    if (value !== undefined && !(name === 'sort' && value === 'newest')) query.set(name, String(value))
  if (show > FIRST_SHOWN) query.set('show', String(Math.min(show, MOST_SHOWN)))
  return query.toString()
}

export function queuePath(shop: string, review: string | null, search: Partial<QueueSearch>): string {
  const query = queueQuery(search)
  return `/s/${shop}/decide${review ? `/${review}` : ''}${query && `?${query}`}`
}

/** The address of the list alone, for small screens. */
export function listPath(shop: string, search: Partial<QueueSearch>): string {
  const query = queueQuery(search)
  return `/s/${shop}/decide?${query && `${query}&`}list`
}
