import { recently } from './collection/gather'
import { countDisplays } from './data/displays'
import { undecidedCount } from './data/reviewCounts'
import { arrivalsSince } from './data/reviewLists'
import type { Shop } from './data/shops'
import type { Services } from './services'

/** The live counts on the thread: what came in lately, what needs a person, the displays. */
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
