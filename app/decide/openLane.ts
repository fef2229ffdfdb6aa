import type { AppLoadContext } from 'react-router'
import type { Shop } from '../../server/data/shops'
import { laneFilter, readQueueSearch } from './address'

/** The lane that an address means: the named one, else that of its review, else the first that needs somebody. */
export async function openLane(
  request: Request,
  { elogio }: AppLoadContext,
  shop: Shop,
  reviewId: string | undefined,
) {
  const { lane: named, rating, show } = readQueueSearch(request)
  const lane = named ?? (await elogio.laneToOpen(shop, reviewId ?? null))
  return { lane, rating, show, filter: laneFilter(lane, rating) }
}
