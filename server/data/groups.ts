import type { Knex } from 'knex'
import { countRows } from './countRows'
import type { ReviewLine } from './reviewLists'
import { openStates, type ReviewState } from '../../core/moderation/rules'

/** A review as a line of its group. */
export type MemberLine = Pick<
  ReviewLine,
  | 'publicId'
  | 'state'
  | 'revision'
  | 'rating'
  | 'verified'
  | 'authorName'
  | 'title'
  | 'body'
  | 'receivedAt'
  | 'productTitle'
>

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
  const rows: { id: number; groupId: number | null }[] = await trx('review')
    .whereIn('public_id', publicIds)
    // The plus keeps SQLite from reading all reviews of the shop.
    .whereRaw('+shop_id = ?', shopId)
    .select({ id: 'id', groupId: 'group_id' })
  const groups = [...new Set(rows.flatMap(({ groupId }) => groupId ?? []))].sort((a, b) => a - b)
  const [first, ...others] = groups
  const groupId = first ?? (await trx('review_group').insert({ shop_id: shopId, created_at: now }))[0]!
  if (others.length > 0) await trx('review').whereIn('group_id', others).update({ group_id: groupId })
  const joined = rows.filter((row) => row.groupId === null).map(({ id }) => id)
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
  const rows: (Omit<MemberLine, 'verified'> & { verified: 0 | 1 })[] = await db('review')
    .join('review_version', 'review_version.id', 'review.current_version_id')
    .leftJoin('product', 'product.id', 'review.product_id')
    .where({ 'review.shop_id': shopId, 'review.group_id': groupId })
    .whereIn('review.state', states)
    .orderBy('review.id', 'desc')
    .limit(limit)
    .select({
      publicId: 'review.public_id',
      state: 'review.state',
      revision: 'review.revision',
      rating: 'review.rating',
      verified: 'review.verified',
      authorName: 'review_version.author_name',
      title: 'review_version.title',
      body: 'review_version.body',
      receivedAt: 'review.received_at',
      productTitle: 'product.title',
    })
  return rows.map((row) => ({ ...row, verified: row.verified === 1 }))
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
  const row: { groupId: number; count: number } | undefined = await db('review')
    .where({ shop_id: shopId })
    .whereIn('state', openStates)
    .whereNotNull('group_id')
    .groupBy('group_id')
    .havingRaw('count(*) > 1')
    .orderBy('count', 'desc')
    .first({ groupId: 'group_id', count: db.raw('count(*)') })
  if (!row) return null
  const latest: { publicId: string; state: ReviewState; copies: number } = await db('review')
    .where({ shop_id: shopId, group_id: row.groupId })
    .whereIn('state', openStates)
    .orderBy('id', 'desc')
    .first({
      publicId: 'public_id',
      state: 'state',
      copies: db('signal')
        .whereRaw("signal.version_id = review.current_version_id AND signal.kind = 'nearcopy'")
        .count(),
    })
  const { copies, ...where } = latest
  return { count: row.count, ...where, sameWords: copies > 0 }
}

/** How many reviews of a lane are collapsed behind another of their group. */
export async function collapsedInLane(db: Knex, shopId: number, state: ReviewState): Promise<number> {
  const row = await db('review')
    .where({ shop_id: shopId, state })
    .whereNotNull('group_id')
    .first<{ folded: number }>(db.raw('count(*) - count(DISTINCT group_id) AS folded'))
  return row.folded
}
