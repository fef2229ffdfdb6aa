import { hasManyArrivals, latestArrival } from '../data/arrivals'
import { allShops } from '../data/shops'
import type { Services } from '../services'

const MAX_SHOPS = 20
/** Fewer reviews are read faster than the thread starts, so the start of the application need not wait for them. */
const MANY_ARRIVALS = 2000

/**
 * Reads the histories of the shops with the latest reviews when the application starts. Resolves when they are read, or at
 * once if all of them are short.
 */
export async function rememberLatestShops({ db, workers, log }: Services): Promise<void> {
  const failed = (error: unknown) =>
    // The first review of a shop reads its history then.
    log.warn({ err: error }, 'the histories of reviews could not be read at the start')
  try {
    const shops: { id: number; at: string; isLong: boolean }[] = []
    for (const { id } of await allShops(db)) {
      const at = await latestArrival(db, id)
      if (at !== null) shops.push({ id, at, isLong: await hasManyArrivals(db, id, MANY_ARRIVALS) })
    }
    const latest = shops.toSorted((a, b) => b.at.localeCompare(a.at)).slice(0, MAX_SHOPS)
    if (latest.length === 0) return
    const reading = workers.run('rememberShops', { shopIds: latest.map(({ id }) => id) }).catch(failed)
    if (latest.some(({ isLong }) => isLong)) await reading
  } catch (error) {
    failed(error)
  }
}
