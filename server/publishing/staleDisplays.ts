import type { Knex } from 'knex'
import { allLiveDisplays, liveDisplayIds } from '../data/displays'
import { writing } from '../data/writing'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'

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

/** Every live display of the installation: what was rendered by an earlier version of the application is not kept. */
export async function markInstallationStale({ db, now }: Pick<Services, 'db' | 'now'>): Promise<void> {
  await writing(db, async (trx) => {
    for (const { id, shopId } of await allLiveDisplays(trx))
      await markStale(trx, shopId, id, now().toISOString())
  })
}
