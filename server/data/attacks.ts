import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import type { StoredState } from '../../core/moderation/rules'

/** A review that came in lately, as attacks are shown. */
export interface LateArrival {
  publicId: string
  versionId: number
  groupId: number | null
  state: StoredState
  receivedAt: string
}

/** The latest submissions of customers since a time, the latest first. */
export async function arrivalsSince(
  db: Knex,
  shopId: number,
  since: string,
  limit: number,
): Promise<LateArrival[]> {
  return (
    db('review')
      .where({ shop_id: shopId })
      .where('received_at', '>=', since)
      // The plus keeps SQLite to the index by time.
      .whereRaw(`+source IN (${comparedSources.map(() => '?').join(', ')})`, [...comparedSources])
      .orderBy('received_at', 'desc')
      .limit(limit)
      .select({
        publicId: 'public_id',
        versionId: 'current_version_id',
        groupId: 'group_id',
        state: 'state',
        receivedAt: 'received_at',
      })
  )
}

/** What the latest of some versions with a signal of an attack shares with the others; null if there is none. */
export async function sharedInAttack(db: Knex, versionIds: number[]): Promise<string | null> {
  const row: { detail: string } | undefined = await db('signal')
    .whereIn('version_id', versionIds)
    .where({ kind: 'burst' })
    // Those that were found later only say that they were.
    .where('detail', 'like', 'burst.%')
    .orderBy('version_id', 'desc')
    .first('detail')
  return row?.detail ?? null
}

/** Whether newcomers like the members of this group are held back. */
export async function groupHolds(db: Knex, groupId: number): Promise<boolean> {
  const row: { holds: 0 | 1 } | undefined = await db('review_group').where({ id: groupId }).first('holds')
  return row?.holds === 1
}

export async function setGroupHolds(
  trx: Knex,
  shopId: number,
  groupId: number,
  holds: boolean,
): Promise<boolean> {
  const changed = await trx('review_group')
    .where({ id: groupId, shop_id: shopId })
    .update({ holds: holds ? 1 : 0 })
  return changed > 0
}

/** Whether one of these reviews is in a group whose newcomers are let through. */
export async function anyLetsThrough(db: Knex, shopId: number, publicIds: string[]): Promise<boolean> {
  const row: { id: number } | undefined = await db('review')
    .join('review_group', 'review_group.id', 'review.group_id')
    .whereIn('review.public_id', publicIds)
    .where({ 'review_group.shop_id': shopId, 'review_group.holds': 0 })
    .first({ id: 'review.id' })
  return row !== undefined
}
