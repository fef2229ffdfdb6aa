import { z } from 'zod'
import Database from 'better-sqlite3'
import { createHash } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { pipeline } from 'node:stream/promises'

/** Everything in one step: between steps another connection's write would start the copy again. */
const ALL_PAGES = 2 ** 31 - 1

/** Copies a database with SQLite's online backup, while others read and write it. */
export async function copyDatabase(from: string, to: string): Promise<void> {
  const db = new Database(from, { readonly: true, fileMustExist: true })
  try {
    await db.backup(to, { progress: () => ALL_PAGES })
  } finally {
    db.close()
  }
}

/**
 * The latest migration of a database; null if it has none.
 * @throws Error if it is damaged
 */
export function checkDatabase(file: string): string | null {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  try {
    const found = db.pragma('quick_check(1)', { simple: true })
    if (found !== 'ok') throw new Error(`The database is damaged: ${String(found)}`)
    return latestMigration(db)
  } finally {
    db.close()
  }
}

/** The names of the migrations that a database has had, in their order; empty for a missing or new one. */
export function migrationsOf(file: string): string[] {
  const db = new Database(file, { readonly: true, fileMustExist: true })
  try {
    return allMigrations(db)
  } finally {
    db.close()
  }
}

const latestMigration = (db: Database.Database) => allMigrations(db).at(-1) ?? null

function allMigrations(db: Database.Database): string[] {
  const table = db.prepare("SELECT 1 FROM sqlite_master WHERE name = 'knex_migrations'").get()
  if (!table) return []
  return z.array(z.string()).parse(db.prepare('SELECT name FROM knex_migrations ORDER BY id').pluck().all())
}

/**
 * Keeps others from opening a database until it is released.
 * @throws Error if another process has it open
 */
export function lockDatabase(file: string): () => void {
  const db = new Database(file, { fileMustExist: true, timeout: 0 })
  try {
    // SQLite leaves the write-ahead log only if no other connection is open.
    db.pragma('journal_mode = DELETE')
    db.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    db.close()
    throw error
  }
  return () => db.close()
}

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  return hash.digest('hex')
}
