import { undecidedCount } from './data/reviewCounts'
import type { Shop } from './data/shops'
import type { Services } from './services'

/** The work that waits at the steps: undecided reviews. */
export async function stepCounts({ db }: Services, shop: Shop): Promise<{ decide: number }> {
  return { decide: await undecidedCount(db, shop.id) }
}
