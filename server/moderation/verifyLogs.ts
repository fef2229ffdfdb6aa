import { verifyChain, type ChainCheck } from '../data/decisions'
import { allShops } from '../data/shops'
import type { Services } from '../services'

/** Verifies the hash chain of each shop's log. */
export async function verifyLogs({
  db,
}: Pick<Services, 'db'>): Promise<{ shop: string; check: ChainCheck }[]> {
  const shops = await allShops(db)
  return Promise.all(shops.map(async ({ id, slug }) => ({ shop: slug, check: await verifyChain(db, id) })))
}
