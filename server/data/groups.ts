import type { Knex } from 'knex'
import { z } from 'zod'
import { countRows } from './countRows'
import { openStates, type ReviewState } from '../../core/moderation/rules'
import { presentState } from './presentState'
import { tables } from './schema/tables'
import { insert, whereOf } from './rows'
import { maybe, pick, readAll, readFirst, readOne, value, type Selected } from './select'

const memberLine = {
  ...pick(tables.review, 'publicId', 'revision', 'rating', 'verified', 'receivedAt'),
  ...pick(tables.reviewVersion, 'authorName', 'title', 'body'),
  state: presentState,
  productTitle: maybe(tables.product.title),
}
/** A review as a line of its group. */
export type MemberLine = Selected<typeof memberLine>

/**
 * Puts reviews, and the groups they are in, into one group.
 * @returns the ids of reviews that were in no group before
 */
export async function putTogether(
  trx: Knex.Transaction,
  shopId: number,
  publicIds: string[],
  now: string,
): Promise<number[]> {
  const rows = await readAll(
    trx('review')
      .whereIn('public_id', publicIds)
      // The plus keeps SQLite from reading all reviews of the shop.
      .whereRaw('+shop_id = ?', shopId),
    pick(tables.review, 'id', 'groupId'),
  )
  const groups = [...new Set(rows.flatMap(({ groupId }) => groupId ?? []))].sort((a, b) => a - b)
  const [first, ...others] = groups
  const groupId = first ?? (await insert(trx, tables.reviewGroup, { shopId, createdAt: now }))
  if (others.length > 0) await trx('review').whereIn('group_id', others).update({ group_id: groupId })
  const joined = rows.filter((one) => one.groupId === null).map(({ id }) => id)
  await trx('review').where({ shop_id: shopId }).whereIn('id', joined).update({ group_id: groupId })
  return joined
}

/** The undecided reviews among these that lack a kind of signal. */
export async function openWithout(
  db: Knex,
  shopId: number,
  publicIds: string[],
  kind: string,
): Promise<string[]> {
  return (
    db('review')
      .whereIn('public_id', publicIds)
      // The plus keeps SQLite from reading all reviews of the shop.
      .whereRaw('+shop_id = ?', shopId)
      .whereRaw(`+state IN (${openStates.map(() => '?').join(', ')})`, openStates)
      .whereNotExists(
        db('signal').whereRaw('signal.version_id = review.current_version_id').where('signal.kind', kind),
      )
      .orderBy('id')
      .pluck('public_id')
  )
}

/** The latest reviews of a group in some states. */
export async function membersOfGroup(
  db: Knex,
  shopId: number,
  groupId: number,
  states: ReviewState[],
  limit: number,
): Promise<MemberLine[]> {
  return readAll(
    db('review')
      .join('review_version', 'review_version.id', 'review.current_version_id')
      .leftJoin('product', 'product.id', 'review.product_id')
      .where(whereOf(tables.review, { shopId, groupId }))
      .whereIn('review.state', states)
      .orderBy('review.id', 'desc')
      .limit(limit),
    memberLine,
  )
}

export async function countInGroup(
  db: Knex,
  shopId: number,
  groupId: number,
  state: ReviewState,
): Promise<number> {
  return countRows(db('review').where({ shop_id: shopId, group_id: groupId, state }))
}

export interface LargestGroup {
  count: number
  publicId: string
  state: ReviewState
  /** Whether its latest review is a near-copy. */
  sameWords: boolean
}

/** The size of the largest group of undecided reviews, and its latest review; null if there is none. */
export async function largestGroup(db: Knex, shopId: number): Promise<LargestGroup | null> {
  const undecided = () => db('review').where({ shop_id: shopId }).whereIn('state', openStates)
  const largest = await readFirst(
    undecided()
      .whereNotNull('group_id')
      .groupBy('group_id')
      .havingRaw('count(*) > 1')
      .orderBy('count', 'desc'),
    { groupId: tables.review.groupId, count: value(z.number(), db.raw('count(*)')) },
  )
  if (!largest) return null
  const { copies, ...latest } = await readOne(
    undecided()
      .where(whereOf(tables.review, { groupId: largest.groupId }))
      .orderBy('id', 'desc'),
    {
      publicId: tables.review.publicId,
      state: presentState,
      copies: value(
        z.number(),
        db('signal')
          .whereRaw("signal.version_id = review.current_version_id AND signal.kind = 'nearcopy'")
          .count(),
      ),
    },
  )
  return { count: largest.count, ...latest, sameWords: copies > 0 }
}

/** How many reviews of a lane are collapsed behind another of their group. */
export async function collapsedInLane(db: Knex, shopId: number, state: ReviewState): Promise<number> {
  const { folded } = await readOne(db('review').where({ shop_id: shopId, state }).whereNotNull('group_id'), {
    folded: value(z.number(), db.raw('count(*) - count(DISTINCT group_id)')),
  })
  return folded
}
