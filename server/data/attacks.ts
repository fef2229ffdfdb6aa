import type { Knex } from 'knex'
import { comparedSources } from '../../core/intake/sourcePolicy'
import { presentState } from './presentState'
import { tables } from './schema/tables'
import { row, whereOf } from './rows'
import { hasRows, pick, readAll, readFirst, type Selected } from './select'

/** A review that came in lately, as attacks are shown. */
export type LateArrival = Selected<typeof lateArrival>
const lateArrival = {
  ...pick(tables.review, 'publicId', 'groupId', 'receivedAt'),
  state: presentState,
  versionId: tables.review.currentVersionId,
}

/** The latest submissions of customers since a time, the latest first. */
export async function arrivalsSince(
  db: Knex,
  shopId: number,
  since: string,
  limit: number,
): Promise<LateArrival[]> {
  return readAll(
    db('review')
      .where({ shop_id: shopId })
      .where('received_at', '>=', since)
      .whereRaw("+state <> 'undone'")
      // The plus keeps SQLite to the index by time.
      .whereRaw(`+source IN (${comparedSources.map(() => '?').join(', ')})`, [...comparedSources])
      .orderBy('received_at', 'desc')
      .limit(limit),
    lateArrival,
  )
}

/** What the latest of some versions with a signal of an attack shares with the others; null if there is none. */
export async function sharedInAttack(db: Knex, versionIds: number[]): Promise<string | null> {
  const latest = await readFirst(
    db('signal')
      .whereIn('version_id', versionIds)
      .where(whereOf(tables.signal, { kind: 'burst' }))
      // Those that were found later only say that they were.
      .where('detail', 'like', 'burst.%')
      .orderBy('version_id', 'desc'),
    pick(tables.signal, 'detail'),
  )
  return latest?.detail ?? null
}

/** Whether newcomers like the members of this group are held back. */
export async function groupHolds(db: Knex, groupId: number): Promise<boolean> {
  return hasRows(db('review_group').where(whereOf(tables.reviewGroup, { id: groupId, holds: true })))
}

export async function setGroupHolds(
  trx: Knex,
  shopId: number,
  groupId: number,
  holds: boolean,
): Promise<boolean> {
  const changed = await trx('review_group')
    .where({ id: groupId, shop_id: shopId })
    .update(row(tables.reviewGroup, { holds }))
  return changed > 0
}

/** Whether one of these reviews is in a group whose newcomers are let through. */
export async function anyLetsThrough(db: Knex, shopId: number, publicIds: string[]): Promise<boolean> {
  return hasRows(
    db('review')
      .join('review_group', 'review_group.id', 'review.group_id')
      .whereIn('review.public_id', publicIds)
      .where(whereOf(tables.reviewGroup, { shopId, holds: false })),
  )
}
