import type { Knex } from 'knex'
import { turnsOf } from './sqliteClient'
import { retryWhileBusy } from './storageFault'

/**
 * Runs a transaction that takes the write lock first. One that reads before it writes is refused at once when another
 * connection has written meanwhile; this one waits its turn instead, and gives the connection back while it waits.
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
