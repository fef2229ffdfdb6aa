import type { Knex } from 'knex'
import { existsSync, statSync } from 'node:fs'
import path from 'node:path'
import { databaseFile } from '../dataFolder'
import { openDatabase } from '../data/database'
import { migrations, unusable } from '../data/migrations'
import type { Turns } from '../data/turns'
import { backupsFolder, prune, stampOf } from './backupsFolder'
import { migrationsOf } from './databaseCopy'
import { completeRestore } from './restoreBackup'
import { writeBackup } from './writeBackup'

/** As many are kept, so that more than one update can be taken back. */
const MAX_BEFORE_UPDATE = 3

/**
 * Opens the database of a data folder. A restore that was interrupted is completed first. Before an update changes the
 * database, it is copied, so that the update can be taken back with `restore`.
 * @throws Error if the data was made by a newer version, or cannot be copied
 */
export async function openData(dataFolder: string, now: Date, turns?: Turns): Promise<Knex> {
  completeRestore(dataFolder)
  const file = databaseFile(dataFolder)
  if (existsSync(file) && statSync(file).size > 0) await copyBeforeUpdate(dataFolder, file, now)
  return openDatabase(file, turns)
}

async function copyBeforeUpdate(dataFolder: string, file: string, now: Date): Promise<void> {
  const had = migrationsOf(file)
  const folder = backupsFolder(dataFolder)
  const why = unusable(had)
  if (why === 'beforeRelease')
    throw new Error(
      `The data in ${dataFolder} was made before the first release and cannot be used. Set ELOGIO_DATA to another folder, or start the demo anew with npm run demo -- --fresh.`,
    )
  if (why === 'newer')
    throw new Error(
      `The data was made by a newer version of Elogio. Install that, or restore the copy from before the update: it is in ${folder}.`,
    )
  if (had.length === 0 || had.length === migrations.length) return
  const copy = path.join(folder, `before-update-${stampOf(now)}.tar.gz`)
  try {
    await writeBackup({ dataFolder, file: copy, now, withMedia: false })
  } catch (error) {
    throw new Error(
      `The database could not be copied before the update, so nothing has changed: ${error instanceof Error ? error.message : String(error)}`,
      { cause: error },
    )
  }
  prune(folder, 'before-update-', MAX_BEFORE_UPDATE)
}
