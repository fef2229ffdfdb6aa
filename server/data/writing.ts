import type { Knex } from 'knex'
import { turnsOf } from './sqliteClient'
import { retryWhileBusy } from './storageFault'

/**
 * Runs a transaction that takes the write lock first. A transaction that reads before it writes would fail at
 * once if another connection has written meanwhile. While it waits, it releases the connection.
 */
export function writing<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  return retryWhileBusy(
    () =>
      db.transaction(async (trx) => {
        await trx.raw('DELETE FROM job WHERE 0')
        return work(trx)
      }),
    { turns: turnsOf(db) },
  )
}
