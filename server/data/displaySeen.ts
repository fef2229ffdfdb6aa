import type { Knex } from 'knex'

/** A page of somebody's site on which a display was shown to a visitor. */
export interface PageSeen {
  page: string
  lastAt: string
}

const MOST_PAGES = 200

/** Keeps that a display was shown on a page. Answers whether that page is new. */
export async function keepSeen(
  trx: Knex.Transaction,
  seen: { shopId: number; displayId: number; page: string; at: string },
): Promise<boolean> {
  const where = { display_id: seen.displayId, page: seen.page }
  const known = await trx('display_seen').where(where).update({ last_at: seen.at })
  if (known > 0) return false
  const { count } = await trx('display_seen')
    .where({ display_id: seen.displayId })
    .count({ count: '*' })
    .first<{ count: number }>()
  if (count >= MOST_PAGES) return false
  await trx('display_seen').insert({
    ...where,
    shop_id: seen.shopId,
    first_at: seen.at,
    last_at: seen.at,
  })
  return true
}

/** The pages that a display was shown on, the latest first. */
export async function pagesSeen(db: Knex, shopId: number, displayId: number): Promise<PageSeen[]> {
  return db('display_seen')
    .where({ shop_id: shopId, display_id: displayId })
    .orderBy('last_at', 'desc')
    .limit(20)
    .select({ page: 'page', lastAt: 'last_at' })
}
