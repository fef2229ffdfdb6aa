import { copyFileSync, cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import type { Knex } from 'knex'
import { fillDemo } from '../../demo/fill'
import { openDatabase } from '../../server/data/database'
import { sitesFor } from './listings'
import { databaseFile } from '../../server/dataFolder'

/* What is made once for a run of tests and copied by each. */

/** Names the folder for the processes that run the tests; `scripts/test.mjs` has one for unit and browser tests. */
const FOLDER = 'ELOGIO_TEST_PREPARED'
export const SECRET = 'a-secret-for-tests-that-is-long-enough'
/** Stands in the filled demo where a test has the address of its own stand-in. */
export const FILLED_SITE = 'http://standins.example'

const folder = (): string => (process.env[FOLDER] ??= mkdtempSync(path.join(tmpdir(), 'elogio-prepared-')))
const migratedFile = () => path.join(folder(), 'migrated.db')
const demoFolder = () => path.join(folder(), 'demo')

/** Makes what all tests of a run need. Returns what removes it, unless others need it too. */
export async function prepare(...parts: (() => Promise<void>)[]): Promise<() => void> {
  const isShared = process.env[FOLDER] !== undefined
  for (const part of parts) await part()
  return () => {
    if (!isShared) removePrepared()
  }
}

/** Removes what was prepared. */
export function removePrepared(): void {
  rmSync(folder(), { recursive: true, force: true })
}

/** Makes an empty database in its newest shape. */
export async function prepareMigrated(): Promise<void> {
  if (existsSync(migratedFile())) return
  const db = await openDatabase(':memory:')
  const connection = (await db.client.acquireConnection()) as { serialize: () => Buffer }
  writeFileSync(migratedFile(), connection.serialize())
  db.client.releaseConnection(connection)
  await db.destroy()
}

/** Fills a data folder with the demo. */
export async function prepareDemo(): Promise<void> {
  if (existsSync(databaseFile(demoFolder()))) return
  await fillDemo(demoFolder(), {
    publicUrl: 'http://localhost',
    siteUrl: FILLED_SITE,
    secret: SECRET,
    argon: { memoryCost: 1024, timeCost: 1 },
    given: sitesFor({ now: new Date() }, FILLED_SITE).given,
  })
}

/** An empty database in memory. */
export async function openMigrated(): Promise<Knex> {
  await prepareMigrated()
  return openDatabase(readFileSync(migratedFile()))
}

/** Puts an empty database into a data folder. */
export async function copyMigrated(dataFolder: string): Promise<void> {
  await prepareMigrated()
  copyFileSync(migratedFile(), databaseFile(dataFolder))
}

export async function copyDemo(dataFolder: string): Promise<void> {
  await prepareDemo()
  cpSync(demoFolder(), dataFolder, { recursive: true })
}
