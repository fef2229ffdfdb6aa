import { recordOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import { z } from 'zod'
import { sources, type Source } from '../../core/intake/sourcePolicy'
import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { isOfSite } from '../../core/intake/sourcePolicy'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { whereOf } from './rows'
import { like, maybe, pick, readAll, readOne, under, value, type Selected } from './select'

/** From the counters. */
export async function laneCounts(
  db: Knex,
  shopId: number,
  only: readonly Source[] = sources,
): Promise<Record<ReviewState, number>> {
  const rows = await readAll(
    db('lane_count')
      .where({ shop_id: shopId })
      .whereIn('state', reviewStates)
      .whereIn('source', only)
      .groupBy('state'),
    { state: value(z.enum(reviewStates), 'state'), count: value(z.number(), db.raw('sum(count)')) },
  )
  const counts = recordOf(reviewStates, () => 0)
  for (const { state, count } of rows) counts[state] = count
  return counts
}

/** The number held back only because the address is not confirmed; nobody needs to look at them. */
export async function unconfirmedCount(db: Knex, shopId: number): Promise<number> {
  // SQLite uses the partial index only for a condition without a parameter.
  return countRows(
    db
      .from(db.raw('review INDEXED BY review_by_unconfirmed'))
      .where({ shop_id: shopId, state: 'held' })
      .whereRaw('unconfirmed = 1'),
  )
}

/** The number that needs a person: waiting, and held back for other reasons than an unconfirmed address. */
export async function undecidedCount(db: Knex, shopId: number): Promise<number> {
  const { waiting, held } = await laneCounts(db, shopId)
  return waiting + held - (await unconfirmedCount(db, shopId))
}

/** The number of reviews of a lane with equal properties. Ratings are whole stars in hundredths. */
export interface CountedGroup extends Selected<typeof groupColumns> {
  /** Null where all products are counted together. */
  productId: number | null
}
const groupColumns = pick(
  tables.laneCount,
  'rating',
  'source',
  'language',
  'verified',
  'hasText',
  'needsReply',
  'count',
)

/**
 * The counters of a lane, by all properties that can be filtered.
 * @param productIds those of each of these products, 0 for none; null for all products together
 */
export async function groupsInLane(
  db: Knex,
  shopId: number,
  state: ReviewState,
  productIds: readonly number[] | null,
): Promise<CountedGroup[]> {
  const table = productIds === null ? 'lane_count' : 'review_count'
  const query = db(table).where({ shop_id: shopId, state })
  if (productIds !== null) query.whereIn('product_id', productIds)
  const rows = await readAll(query, {
    ...under(table, groupColumns),
    productId: maybe(
      productIds === null ? like(tables.reviewCount.productId, db.raw('NULL')) : tables.reviewCount.productId,
    ),
  })
  return rows.map((group) => ({
    ...group,
    // On another site a reply is written there.
    needsReply: group.needsReply && !isOfSite(group.source),
    rating: Math.floor((group.rating + 50) / 100) * 100,
  }))
}

/** Approved reviews that can be shown and count in averages, of the shop or of a product. */
export async function approvedTally(db: Knex, shopId: number, productId?: number): Promise<RatingTally> {
  const query = db(productId === undefined ? 'lane_count' : 'review_count')
    .where({ shop_id: shopId, state: 'approved', showable: 1, in_averages: 1 })
    .where('rating', '>', 0)
  if (productId !== undefined) query.where({ product_id: productId })
  const rows = await readAll(query.groupBy('rating'), {
    rating: value(z.number(), 'rating'),
    times: value(z.number(), db.raw('sum(count)')),
  })
  return tallyOf(rows)
}

/** The number of approved reviews that can be shown. */
export async function showableCount(db: Knex, shopId: number): Promise<number> {
  const { count } = await readOne(
    db('lane_count').where(whereOf(tables.laneCount, { shopId, state: 'approved', showable: true })),
    { count: value(z.number(), db.raw('ifnull(sum(count), 0)')) },
  )
  return count
}
