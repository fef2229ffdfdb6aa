import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { ShowableReview } from '../../core/display/showableReview'
import { showableReviews } from '../data/showableReviews'
import { contentVersion } from '../data/shops'

/** Caches the publishable reviews of each shop, so that rendering many displays reads them once. */
export type PublishableReviews = (db: Knex, shopId: number) => Promise<ShowableReview[]>

/** For all shops together, in reviews of about a kilobyte. */
const MOST_REVIEWS = 300_000

/** Keeps the most recently used shops; `content_version` says when they are outdated. */
export function buildPublishableReviews(): PublishableReviews {
  const kept = new LRUCache<number, { version: number; reviews: Promise<ShowableReview[]> }>({
    maxSize: MOST_REVIEWS,
  })
  return async (db, shopId) => {
    const version = await contentVersion(db, shopId)
    const known = kept.get(shopId)
    if (known?.version === version) return known.reviews
    // The promise is stored at once, so that two requests share one read.
    const entry = { version, reviews: showableReviews(db, shopId) }
    kept.set(shopId, entry, { size: 1 })
    try {
      const reviews = await entry.reviews
      if (kept.peek(shopId) === entry)
        kept.set(shopId, entry, { size: Math.min(1 + reviews.length, MOST_REVIEWS) })
      return reviews
    } catch (error) {
      if (kept.peek(shopId) === entry) kept.delete(shopId)
      throw error
    }
  }
}
