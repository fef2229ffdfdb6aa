import { recently } from './collection/gather'
import { countDisplays } from './data/displays'
import { undecidedCount } from './data/reviewCounts'
import { arrivalsSince } from './data/arrivalCounts'
import type { Shop } from './data/shops'
import type { Services } from './services'

/** The counts beside the steps: recent arrivals, undecided reviews, displays. */
export async function stepCounts(
  { db, now }: Services,
  shop: Shop,
): Promise<{ gather: number; decide: number; show: number }> {
  return {
    gather: (await arrivalsSince(db, shop.id, recently(now()))).count,
    decide: await undecidedCount(db, shop.id),
    show: await countDisplays(db, shop.id),
  }
}
