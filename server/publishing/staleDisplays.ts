import type { Knex } from 'knex'
import { allLiveDisplays } from '../data/displays'
import { markDisplaysStale } from '../data/staleDisplays'
import { raiseStockVersion } from '../data/shops'
import { writing } from '../data/writing'
import { enqueue } from '../jobs/queue'
import type { Services } from '../services'

/** Renders again every stale display of a shop. */
export const REBUILD = 'rebuildDisplays'

async function askForRebuild(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  await enqueue(trx, { shopId, kind: REBUILD, uniqueKey: `${REBUILD}:${shopId}`, payload: {}, dueAt: now })
}

/** Has a display rendered again for visitors, by work that is listed in the transaction that made it stale. */
export async function markStale(
  trx: Knex.Transaction,
  shopId: number,
  displayId: number,
  now: string,
): Promise<void> {
  await markDisplaysStale(trx, shopId, displayId)
  await askForRebuild(trx, shopId, now)
}

/** All live displays of a shop: each shows the average of all, so one more or one fewer changes every one. */
export async function markAllStale(trx: Knex.Transaction, shopId: number, now: string): Promise<void> {
  await raiseStockVersion(trx, shopId)
  if ((await markDisplaysStale(trx, shopId)) > 0) await askForRebuild(trx, shopId, now)
}

/** Every live display of the installation: what was rendered by an earlier version of the application is not kept. */
export async function markInstallationStale({ db, now }: Pick<Services, 'db' | 'now'>): Promise<void> {
  await writing(db, async (trx) => {
    for (const { id, shopId } of await allLiveDisplays(trx))
      await markStale(trx, shopId, id, now().toISOString())
  })
}
