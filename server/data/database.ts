import knex, { type Knex } from 'knex'
import { migrationSource } from './migrations'
import { SqliteClient } from './sqliteClient'

/** A transaction of another use case may hold the one connection for a moment. */
const ACQUIRE_TIMEOUT_MS = 10_000
/** While the application starts, nobody waits for anything else. */
const STARTING_BUSY_MS = 4000

/** Opens the database file, or one in memory (`:memory:`, or the bytes of one), and brings it to the newest shape. */
export async function openDatabase(file: string | Buffer): Promise<Knex> {
  const db = knex({
    client: SqliteClient,
    // The driver takes bytes where the type of the connection names a path.
    connection: { filename: file as string },
    useNullAsDefault: true,
    acquireConnectionTimeout: ACQUIRE_TIMEOUT_MS,
    pool: { min: 1, max: 1 },
    migrations: { migrationSource },
  })
  await db.raw(`PRAGMA busy_timeout = ${STARTING_BUSY_MS}`)
  await db.raw('PRAGMA journal_mode = WAL')
  await db.raw('PRAGMA synchronous = FULL')
  await db.raw('PRAGMA foreign_keys = ON')
  await db.migrate.latest()
  await db.raw('PRAGMA busy_timeout = 0')
  return db
}
