import type { Knex } from 'knex'
import { allLiveDisplays } from '../data/displays'
import { markDisplaysStale } from '../data/staleDisplays'
import { raiseStockVersion } from '../data/shops'
import { writing } from '../data/writing'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'

export const REBUILD = 'rebuildDisplays'

async function askForRebuild(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  await enqueue(trx, { shopId, kind: REBUILD, uniqueKey: `${REBUILD}:${shopId}`, payload: {}, dueAt: now })
}

/** Marks a display for rendering and queues the job, in the transaction of the change. */
export async function markStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId: number,
  now: string,
): Promise<void> {
  await markDisplaysStale(trx, shopId, displayId)
  await askForRebuild(trx, shopId, now)
}

/** Each display shows the average of all reviews, so every change affects all of them. */
export async function markAllStale(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  await raiseStockVersion(trx, shopId)
  if ((await markDisplaysStale(trx, shopId)) > 0) await askForRebuild(trx, shopId, now)
}

/** After an update of the application, all published displays are rendered again. */
export async function markInstallationStale({ db, now }: Pick<Services, 'db' | 'now'>): Promise<void> {
  await writing(db, async (trx) => {
    for (const { id, shopId } of await allLiveDisplays(trx))
      await markStale(trx, shopId, id, now().toISOString())
  })
}
