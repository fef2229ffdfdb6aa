import type { Knex } from 'knex'
import { liveDisplayIds } from '../data/displays'
import { enqueue } from '../jobs/queue'

export const REBUILD = 'rebuildDisplay'

/** Has a display rendered anew for visitors, as a job of the transaction that made it stale. */
export async function markStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId: number,
  now: string,
): Promise<void> {
  await enqueue(trx, {
    shopId,
    kind: REBUILD,
    uniqueKey: `${REBUILD}:${displayId}`,
    payload: { displayId },
    dueAt: now,
  })
}

/** All live displays of a shop: each shows the average of all, so one more or one fewer changes every one. */
export async function markAllStale(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  for (const displayId of await liveDisplayIds(trx, shopId)) await markStale(trx, shopId, displayId, now)
}
