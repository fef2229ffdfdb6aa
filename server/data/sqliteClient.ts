import type { Knex } from 'knex'
// Knex names no type for its dialects.
import BetterSqlite3Client from 'knex/lib/dialects/better-sqlite3/index.js'
import { retryWhileBusy } from './storageFault'

interface Query {
  sql: string
}

interface Runner {
  run: () => Promise<unknown>
}

/** A client whose statements outside of transactions wait for a lock without stopping the process. */
export class SqliteClient extends BetterSqlite3Client {
  override _query(connection: { inTransaction: boolean }, query: Query): Promise<unknown> {
    // SQLite rolls back by itself when the disk is full. To do it again would fail, and hide why.
    if (/^ROLLBACK;?$/.test(query.sql) && !connection.inTransaction)
      return Promise.resolve({ ...query, response: [] })
    return super._query(connection, query)
  }

  override runner(builder: Knex.QueryBuilder): Runner {
    const runner = super.runner(builder) as Runner
    // Inside a transaction `writing` tries the whole of it again.
    if (this.transacting) return runner
    const run = runner.run.bind(runner)
    runner.run = () => retryWhileBusy(run)
    return runner
  }
}
