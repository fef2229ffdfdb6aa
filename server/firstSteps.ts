import type { FirstStep } from '../core/account/firstSteps'
import { may } from '../core/account/permissions'
import { wasAnySeen } from './data/displaySeen'
import { firstOpenForm, wasAnyTried } from './data/forms'
import { everArrived } from './data/arrivalCounts'
import { areFirstStepsPutAway, putAwayFirstSteps } from './data/shops'
import type { MemberShop, Shop } from './data/shops'
import type { Services } from './services'

/** What a new shop has done of its first steps. */
export interface FirstSteps {
  done: Record<FirstStep, boolean>
  /** A form that can be sent as a test; null if none is open. */
  form: string | null
}

/** Null once all are done or put away, and for helpers, who can do few of them. */
export async function firstSteps(services: Services, shop: MemberShop): Promise<FirstSteps | null> {
  const { db, mailer } = services
  if (!may(shop.role, 'settings') || (await areFirstStepsPutAway(db, shop.id))) return null
  const done = {
    site: shop.siteUrl !== '',
    reviews: await everArrived(db, shop.id),
    form: await wasAnyTried(db, shop.id),
    code: await wasAnySeen(db, shop.id),
    email: mailer !== null,
  }
  if (Object.values(done).every(Boolean)) return null
  return { done, form: (await firstOpenForm(db, shop.id))?.publicId ?? null }
}

export const setFirstStepsAway = ({ db }: Services, shop: Shop, isAway: boolean): Promise<void> =>
  putAwayFirstSteps(db, shop.id, isAway)
