import type { Knex } from 'knex'
import { retryWhileBusy } from './storageFault'

const TRIAL_BYTES = 32_768
/** Other programs, such as a backup, lock the database for a moment. */
const PATIENCE_MS = 500

/**
 * Writes a row and deletes it again.
 * @throws if the database is locked or the disk is full
 */
export function tryStoring(db: Knex): Promise<void> {
  return retryWhileBusy(
    () =>
      db.transaction(async (trx) => {
        await trx('storage_trial').insert({ bytes: Buffer.alloc(TRIAL_BYTES) })
        await trx('storage_trial').delete()
      }),
    { patienceMs: PATIENCE_MS },
  )
}
