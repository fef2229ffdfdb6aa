import { firstDisplay } from './data/displays'
import { showableCount, undecidedCount } from './data/reviewCounts'
import type { Shop } from './data/shops'
import type { Services } from './services'

/** What the owner should do next: decide, or show what is ready. */
export interface NextStep {
  toDecide: number
  /** Approved reviews that can be shown. */
  ready: number
  /** The first display. */
  display: { key: string; live: boolean } | null
}

export async function nextStep({ db }: Services, shop: Shop): Promise<NextStep> {
  return {
    toDecide: await undecidedCount(db, shop.id),
    ready: await showableCount(db, shop.id),
    display: await firstDisplay(db, shop.id),
  }
}
