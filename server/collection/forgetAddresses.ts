import { forgetAddresses } from '../data/arrivals'
import type { Services } from '../services'

/** Network addresses help to see an attack while it lasts; after so many days they are of no use and go. */
const KEPT_DAYS = 30
const DAY_MS = 86_400_000

export function forgetOldAddresses({ db, now }: Services): Promise<number> {
  return forgetAddresses(db, new Date(now().getTime() - KEPT_DAYS * DAY_MS).toISOString())
}
