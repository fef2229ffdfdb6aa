import type { Knex } from 'knex'
// Knex names no type for its dialects.
import BetterSqlite3Client from 'knex/lib/dialects/better-sqlite3/index.js'
import { retryWhileBusy } from './storageFault'

interface Runner {
  run: () => Promise<unknown>
}

/** A client whose statements outside of transactions wait for a lock without stopping the process. */
export class SqliteClient extends BetterSqlite3Client {
  override runner(builder: Knex.QueryBuilder): Runner {
    const runner = super.runner(builder) as Runner
    // Inside a transaction `writing` tries the whole of it again.
    if (this.transacting) return runner
    const run = runner.run.bind(runner)
    runner.run = () => retryWhileBusy(run)
    return runner
  }
}
