import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { ShowableReview } from '../../core/display/showableReview'
import { showableReviews } from '../data/showableReviews'
import { contentVersion } from '../data/shops'

/** What may be shown, kept in memory for each shop, so that many displays created again read it once. */
export type PublishableReviews = (db: Knex, shopId: number) => Promise<ShowableReview[]>

/** Of all shops together, counted in reviews of about a kilobyte each. */
const MOST_REVIEWS = 300_000

/** Keeps the stock of the shops asked for last; the database says when it has to be read again. */
export function buildPublishableReviews(): PublishableReviews {
  const kept = new LRUCache<number, { version: number; reviews: Promise<ShowableReview[]> }>({
    maxSize: MOST_REVIEWS,
  })
  return async (db, shopId) => {
    const version = await contentVersion(db, shopId)
    const known = kept.get(shopId)
    if (known?.version === version) return known.reviews
    // Kept before it is read, so that two who ask at once read it once.
    const stock = { version, reviews: showableReviews(db, shopId) }
    kept.set(shopId, stock, { size: 1 })
    try {
      const reviews = await stock.reviews
      if (kept.peek(shopId) === stock)
        kept.set(shopId, stock, { size: Math.min(1 + reviews.length, MOST_REVIEWS) })
      return reviews
    } catch (error) {
      if (kept.peek(shopId) === stock) kept.delete(shopId)
      throw error
    }
  }
}
