import type { AppLoadContext } from 'react-router'
import type { Shop } from '../../server/data/shops'
import { readQueueSearch } from './address'

/**
 * The lane of an address: the named one, otherwise that of its review, otherwise the first with undecided
 * reviews.
 */
export async function openLane(
  request: Request,
  { elogio }: AppLoadContext,
  shop: Shop,
  reviewId: string | undefined,
) {
  const asked = readQueueSearch(new URL(request.url).searchParams)
  const lane = asked.lane ?? (await elogio.laneToOpen(shop, reviewId ?? null))
  return { search: { ...asked, lane }, filter: await elogio.readFilter(shop, lane, asked) }
}
