import { setImmediate } from 'node:timers/promises'
import type { LaneFilter } from '../data/laneFilter'
import { reviewRows, type ReviewRow } from '../data/reviewRows'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { rarestOf } from './rarestOf'

/** So many are read at once; other requests are answered in between. */
export const ROWS_AT_ONCE = 200

/** All matches of a filter, some at a time, newest first. */
export async function* reviewsToDownload(
  { db }: Services,
  shop: Shop,
  asked: LaneFilter,
): AsyncGenerator<ReviewRow[]> {
  const filter: LaneFilter = { ...asked, sort: 'newest' }
  const rarest = await rarestOf(db, shop, filter)
  for (let last: number | null = null; ;) {
    const rows: ReviewRow[] = await reviewRows(db, shop.id, filter, rarest, last, ROWS_AT_ONCE)
    if (rows.length > 0) yield rows
    if (rows.length < ROWS_AT_ONCE) return
    last = rows.at(-1)!.id
    await setImmediate()
  }
}
