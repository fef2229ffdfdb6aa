import type { Knex } from 'knex'
import { ShopMemory } from '../../core/moderation/memory/shopMemory'
import { arrivalsAfter } from '../data/arrivals'

/** What is remembered of each shop's arrivals, read from the database when it is first asked for. */
export interface ShopMemories {
  of: (db: Knex, shopId: number) => Promise<ShopMemory>
  /** To be called when an arrival was met and could not be stored: the next one reads the shop anew. */
  forget: (shopId: number) => void
}

const MOST_SHOPS = 20
/** How many are read at once, so that nobody else waits long for the database. */
const AT_ONCE = 250

export function buildShopMemories(): ShopMemories {
  const kept = new Map<number, Promise<ShopMemory>>()
  return {
    of: (db, shopId) => {
      const memory = kept.get(shopId) ?? read(db, shopId)
      kept.delete(shopId)
      kept.set(shopId, memory)
      if (kept.size > MOST_SHOPS) kept.delete(kept.keys().next().value!)
      memory.catch(() => kept.delete(shopId))
      return memory
    },
    forget: (shopId) => kept.delete(shopId),
  }
}

async function read(db: Knex, shopId: number): Promise<ShopMemory> {
  const memory = new ShopMemory()
  for (let after = 0; ;) {
    const { arrivals, last } = await arrivalsAfter(db, shopId, after, AT_ONCE)
    for (const arrival of arrivals) memory.meet(arrival)
    if (arrivals.length < AT_ONCE) return memory
    after = last
    await new Promise(setImmediate)
  }
}
