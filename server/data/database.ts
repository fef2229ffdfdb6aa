import knex, { type Knex } from 'knex'
import { migrationSource } from './migrations'
import { SqliteClient, type SqliteConfig } from './sqliteClient'
import type { Turns } from './turns'

/** A transaction of another use case may hold the one connection for a moment. */
const ACQUIRE_TIMEOUT_MS = 10_000
/** While the application starts, nobody waits for anything else. */
const STARTING_BUSY_MS = 4000
/** A thread of long work may stand still for the database: nobody waits for it. */
const THREAD_BUSY_MS = 5000

/** Opens the database file, or one in memory (`:memory:`, or the bytes of one), and brings it to the newest shape. */
export async function openDatabase(file: string | Buffer, turns?: Turns): Promise<Knex> {
  const db = connect(file, turns)
  await db.raw(`PRAGMA busy_timeout = ${STARTING_BUSY_MS}`)
  await db.raw('PRAGMA journal_mode = WAL')
  await setUpConnection(db)
  await db.migrate.latest()
  await db.raw('PRAGMA busy_timeout = 0')
  return db
}

/** Another connection to a database that is open already, for a thread of its own. */
export async function openInThread(file: string, turns: Turns): Promise<Knex> {
  const db = connect(file, turns)
  await db.raw(`PRAGMA busy_timeout = ${THREAD_BUSY_MS}`)
  await setUpConnection(db)
  // Long work notes how far it came in the transaction that did it, so that what a power cut undoes is done again;
  // it need not wait for the disk, and keeps nobody else waiting for it.
  await db.raw('PRAGMA synchronous = NORMAL')
  return db
}

function connect(file: string | Buffer, turns: Turns | undefined): Knex {
  const config: SqliteConfig = {
    client: SqliteClient,
    // The driver takes bytes where the type of the connection names a path.
    connection: { filename: file as string },
    useNullAsDefault: true,
    acquireConnectionTimeout: ACQUIRE_TIMEOUT_MS,
    pool: { min: 1, max: 1 },
    migrations: { migrationSource },
    ...(turns && { turns }),
  }
  return knex(config)
}

async function setUpConnection(db: Knex): Promise<void> {
  await db.raw('PRAGMA synchronous = FULL')
  await db.raw('PRAGMA foreign_keys = ON')
}
