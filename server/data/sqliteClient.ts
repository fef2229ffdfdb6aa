import type { Knex } from 'knex'
// Knex exports no type for its dialects.
import BetterSqlite3Client from 'knex/lib/dialects/better-sqlite3/index.js'
import { retryWhileBusy } from './storageFault'
import type { Turns } from './turns'

interface Query {
  sql: string
}

interface Runner {
  run: () => Promise<unknown>
}

export interface SqliteConfig extends Knex.Config {
  turns?: Turns
}

/** Undefined where only one thread writes. */
export const turnsOf = (db: Knex): Turns | undefined => (db.client as { turns?: Turns }).turns

/** Statements outside of transactions wait for a lock without blocking the process. */
export class SqliteClient extends BetterSqlite3Client {
  readonly turns: Turns | undefined

  constructor(config: SqliteConfig) {
    super(config)
    this.turns = config.turns
  }

  override _query(connection: { inTransaction: boolean }, query: Query): Promise<unknown> {
    // SQLite rolls back by itself when the disk is full. A second rollback would fail and hide the cause.
    if (/^ROLLBACK;?$/.test(query.sql) && !connection.inTransaction)
      return Promise.resolve({ ...query, response: [] })
    return super._query(connection, query)
  }

  override runner(builder: Knex.QueryBuilder): Runner {
    const runner = super.runner(builder) as Runner
    // Inside a transaction, `writing` retries the whole transaction.
    if (this.transacting) return runner
    const run = runner.run.bind(runner)
    runner.run = () => retryWhileBusy(run, { turns: this.turns })
    return runner
  }
}
