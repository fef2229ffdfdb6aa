import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import { readArrival } from '../../core/moderation/memory/arrival'
import { fingerprintOf, type Fingerprint } from '../../core/moderation/memory/fingerprint'
import { ShopMemory } from '../../core/moderation/memory/shopMemory'
import { arrivalsOf } from '../data/arrivals'
import { firstRemembered, insertImprints, rememberedArrivals, storedImprint } from '../data/fingerprints'
import { writing } from '../data/writing'

/** What is remembered of each shop's arrivals, read from the database when it is first asked for. */
export interface ShopMemories {
  of: (shopId: number) => Promise<ShopMemory>
  /** The memory of a shop if it has been read; nothing is read for it. */
  known: (shopId: number) => Promise<ShopMemory> | undefined
}

/** What is older than a year, and more than so many, is compared with no more. */
const REMEMBERED_MS = 365 * 86_400_000
const MOST_ARRIVALS = 100_000

/** The inner id from which on a shop's arrivals are remembered. */
export const rememberedFrom = (db: Knex, now: Date, shopId: number): Promise<number> =>
  firstRemembered(db, shopId, {
    most: MOST_ARRIVALS,
    since: new Date(now.getTime() - REMEMBERED_MS).toISOString(),
  })

/** Of all shops together; one arrival takes about a kilobyte. */
const MOST_OF_ALL = 120_000
const AT_ONCE = 2000
const MADE_AT_ONCE = 200

export function buildShopMemories(db: Knex, now: () => Date): ShopMemories {
  const kept = new LRUCache<number, Promise<ShopMemory>>({ max: 1000, maxSize: MOST_OF_ALL })
  const read = (shopId: number) => {
    const memory = readMemory(db, shopId, now())
    kept.set(shopId, memory, { size: 1 })
    memory
      // Its size is known once it is read.
      .then(({ size }) => kept.set(shopId, memory, { size: Math.min(size + 1, MOST_OF_ALL) }))
      .catch(() => kept.delete(shopId))
    return memory
  }
  return { of: (shopId) => kept.get(shopId) ?? read(shopId), known: (shopId) => kept.get(shopId) }
}

async function readMemory(db: Knex, shopId: number, now: Date): Promise<ShopMemory> {
  const first = await rememberedFrom(db, now, shopId)
  const all: Fingerprint[] = []
  for (let after = first - 1; ;) {
    const rows = await rememberedArrivals(db, shopId, after, AT_ONCE)
    const made = await makeMissing(
      db,
      shopId,
      rows.filter(({ fingerprint }) => fingerprint === null).map(({ reviewId }) => reviewId),
    )
    for (const { reviewId, fingerprint } of rows) {
      const one = fingerprint ?? made.get(reviewId)
      if (one) all.push(one)
    }
    if (rows.length < AT_ONCE) break
    after = rows.at(-1)!.reviewId
  }
  const memory = new ShopMemory()
  memory.restore(all)
  return memory
}

/** Reviews that came before fingerprints were stored are taken apart once. */
async function makeMissing(db: Knex, shopId: number, ids: number[]): Promise<Map<number, Fingerprint>> {
  const made = new Map<number, Fingerprint>()
  for (let from = 0; from < ids.length; from += MADE_AT_ONCE) {
    const some = ids.slice(from, from + MADE_AT_ONCE)
    const arrivals = await arrivalsOf(db, shopId, some)
    const rows = arrivals.map(({ inner, ...arriving }) => {
      const fingerprint = fingerprintOf(readArrival(arriving))
      made.set(inner, fingerprint)
      return { reviewId: inner, ...storedImprint(fingerprint) }
    })
    if (rows.length > 0) await writing(db, (trx) => insertImprints(trx, shopId, rows))
  }
  return made
}
