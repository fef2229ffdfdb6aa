import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
// Knex exports no type for its dialects.
import BetterSqlite3Client from 'knex/lib/dialects/better-sqlite3/index.js'
import { searchable } from '../../core/formats/searchable'
import { yieldToInput } from './yieldToInput'
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

interface Connection {
  inTransaction: boolean
  prepare: (sql: string) => object
  function: (name: string, options: { deterministic: boolean }, compute: (text: string) => string) => void
}

/** Of each connection. */
const PREPARED = 300
/** Longer ones are lists of values, which differ each time. */
const LONGEST_PREPARED = 4000
const isPreparedOnce = /^\s*(select|insert|update|delete|with)\b/i

/** Statements outside of transactions wait for a lock without blocking the process. */
export class SqliteClient extends BetterSqlite3Client {
  readonly turns: Turns | undefined

  constructor(config: SqliteConfig) {
    super(config)
    this.turns = config.turns
  }

  /** Parsing a statement costs more than most statements. */
  override async acquireRawConnection(): Promise<Connection> {
    const connection = (await super.acquireRawConnection()) as Connection
    // Triggers of the full-text index call it.
    connection.function('searchable', { deterministic: true }, searchable)
    const prepare = connection.prepare.bind(connection)
    const prepared = new LRUCache<string, object>({ max: PREPARED })
    connection.prepare = (sql) => {
      if (sql.length > LONGEST_PREPARED || !isPreparedOnce.test(sql)) return prepare(sql)
      const known = prepared.get(sql)
      if (known) return known
      const statement = prepare(sql)
      prepared.set(sql, statement)
      return statement
    }
    return connection
  }

  override async _query(connection: Connection, query: Query): Promise<unknown> {
    await yieldToInput()
    // SQLite rolls back by itself when the disk is full. A second rollback would fail and hide the cause.
    if (/^ROLLBACK;?$/.test(query.sql) && !connection.inTransaction) return { ...query, response: [] }
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
