import type { Knex } from 'knex'
import type { ShowableReview } from '../../core/display/showableReview'
import { showableReviews } from '../data/showableReviews'
import { stockVersion } from '../data/shops'

/** What may be shown, kept in memory for each shop, so that many displays made anew read it once. */
export type Stock = (db: Knex, shopId: number) => Promise<ShowableReview[]>

const MOST_SHOPS = 50

/** Keeps the stock of the shops asked for last; the database says when it has to be read again. */
export function buildStock(): Stock {
  const kept = new Map<number, { version: number; reviews: ShowableReview[] }>()
  return async (db, shopId) => {
    const version = await stockVersion(db, shopId)
    const known = kept.get(shopId)
    kept.delete(shopId)
    const stock = known?.version === version ? known : { version, reviews: await showableReviews(db, shopId) }
    kept.set(shopId, stock)
    if (kept.size > MOST_SHOPS) kept.delete(kept.keys().next().value!)
    return stock.reviews
  }
}
