import { may } from '../core/account/permissions'
import { firstDisplay } from './data/displays'
import { showableCount, undecidedCount } from './data/reviewCounts'
import type { MemberShop } from './data/shops'
import type { Services } from './services'

/** What a member should do next: decide, or show what is ready. */
export interface NextStep {
  toDecide: number
  /** Approved reviews that can be shown. */
  ready: number
  /** The first display, if her role permits changing it. */
  display: { key: string; live: boolean } | null
}

export async function nextStep({ db }: Services, shop: MemberShop): Promise<NextStep> {
  return {
    toDecide: await undecidedCount(db, shop.id),
    ready: await showableCount(db, shop.id),
    display: may(shop.role, 'displays') ? await firstDisplay(db, shop.id) : null,
  }
}
