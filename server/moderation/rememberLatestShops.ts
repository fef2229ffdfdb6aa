import { latestArrival } from '../data/arrivals'
import { allShops } from '../data/shops'
import type { Services } from '../services'

const MOST_SHOPS = 20

/** Has what is remembered of the shops with the latest arrivals read at the start, so that no customer waits for it. */
export async function rememberLatestShops({ db, workers, log }: Services): Promise<void> {
  try {
    const shops: { id: number; at: string }[] = []
    for (const { id } of await allShops(db)) {
      const at = await latestArrival(db, id)
      if (at !== null) shops.push({ id, at })
    }
    const latest = shops.toSorted((a, b) => b.at.localeCompare(a.at)).slice(0, MOST_SHOPS)
    if (latest.length > 0) await workers.run('rememberShops', { shopIds: latest.map(({ id }) => id) })
  } catch (error) {
    // The first arrival reads it then.
    log.warn({ err: error }, 'what is remembered of arrivals could not be read at the start')
  }
}
