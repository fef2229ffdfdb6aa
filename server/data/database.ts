import knex, { type Knex } from 'knex'
import { migrate } from './migrations'
import { SqliteClient, type SqliteConfig } from './sqliteClient'
import type { Turns } from './turns'

/** A transaction of another use case can hold the only connection. */
const ACQUIRE_TIMEOUT_MS = 10_000
/** No request waits while the application starts. */
const STARTING_BUSY_MS = 4000
/** No request waits for a worker thread. */
const THREAD_BUSY_MS = 5000

/** Opens a database file, `:memory:`, or the bytes of a database, and runs the migrations. */
export async function openDatabase(file: string | Buffer, turns?: Turns): Promise<Knex> {
  const db = connect(file, turns)
  await db.raw(`PRAGMA busy_timeout = ${STARTING_BUSY_MS}`)
  await db.raw('PRAGMA journal_mode = WAL')
  await setUpConnection(db)
  await migrate(db)
  await db.raw('PRAGMA busy_timeout = 0')
  return db
}

/** A connection for a worker thread. */
export async function openInThread(file: string, turns: Turns): Promise<Knex> {
  const db = connect(file, turns)
  await db.raw(`PRAGMA busy_timeout = ${THREAD_BUSY_MS}`)
  await setUpConnection(db)
  // Progress is stored in the same transaction as the work, so a power cut loses both. Waiting for the disk
  // is not needed and would delay other writers.
  await db.raw('PRAGMA synchronous = NORMAL')
  return db
}

function connect(file: string | Buffer, turns: Turns | undefined): Knex {
  const config: SqliteConfig = {
    client: SqliteClient,
    // The driver accepts bytes; its type names only a path.
    connection: { filename: file as string },
    useNullAsDefault: true,
    acquireConnectionTimeout: ACQUIRE_TIMEOUT_MS,
    pool: { min: 1, max: 1 },
    ...(turns && { turns }),
  }
  return knex(config)
}

async function setUpConnection(db: Knex): Promise<void> {
  await db.raw('PRAGMA synchronous = FULL')
  await db.raw('PRAGMA foreign_keys = ON')
}
