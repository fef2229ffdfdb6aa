import knex, { type Knex } from 'knex'
import { migrationSource } from './migrations'

/** Opens the database file, or one in memory with `:memory:`, and brings it to the newest shape. */
export async function openDatabase(filename: string): Promise<Knex> {
  const db = knex({
    client: 'better-sqlite3',
    connection: { filename },
    useNullAsDefault: true,
    acquireConnectionTimeout: 2000,
    pool: { min: 1, max: 1 },
    migrations: { migrationSource },
  })
  await db.raw('PRAGMA journal_mode = WAL')
  await db.raw('PRAGMA synchronous = FULL')
  await db.raw('PRAGMA foreign_keys = ON')
  await db.raw('PRAGMA busy_timeout = 4000')
  await db.migrate.latest()
  return db
}
