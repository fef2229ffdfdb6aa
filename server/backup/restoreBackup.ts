import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync } from 'node:fs'
import path from 'node:path'
import { extract } from 'tar'
import { migrationNames } from '../data/migrations'
import { checkDatabase, lockDatabase, sha256Of } from './databaseCopy'
import { manifestSchema, names, type Manifest } from './manifest'
import { WORK } from './writeBackup'

/** An unpacked backup that has not been checked. */
const UNPACKED = 'restore-work'
/** A checked one. From here on the restore is completed, now or at the next start. */
const READY = 'restore-ready'
/** What was there before. */
const REPLACED = 'before-restore'

/**
 * Puts a backup in the place of the data. Until the backup has been checked nothing changes; an interruption after that
 * is completed at the next start. What was there before is kept beside it.
 * @returns the folder with what was there before, or null if nothing was
 * @throws Error if the application runs, or the file is no whole backup
 */
export async function restoreBackup(
  dataFolder: string,
  file: string,
): Promise<{ manifest: Manifest; replaced: string | null }> {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`)
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
  const release = lockData(dataFolder)
  try {
    completeRestore(dataFolder)
    const manifest = await unpack(dataFolder, file)
    renameSync(path.join(dataFolder, UNPACKED), path.join(dataFolder, READY))
    return { manifest, replaced: completeRestore(dataFolder) }
  } finally {
    rmSync(path.join(dataFolder, UNPACKED), { recursive: true, force: true })
    release()
  }
}

function lockData(dataFolder: string): () => void {
  const database = path.join(dataFolder, names.database)
  if (!existsSync(database)) return () => undefined
  try {
    return lockDatabase(database)
  } catch (error) {
    if (!(error instanceof Error) || !/locked|busy/i.test(error.message)) throw error
    throw new Error('Elogio is running. Stop it first, then restore.', { cause: error })
  }
}

async function unpack(dataFolder: string, file: string): Promise<Manifest> {
  const folder = path.join(dataFolder, UNPACKED)
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { mode: 0o700 })
  const refused = (why: string, cause?: unknown) =>
    new Error(`${file} cannot be restored: ${why}. Nothing has changed.`, { cause })
  try {
    await extract({ file, cwd: folder, strict: true, filter: (name, entry) => isExpected(name, entry) })
  } catch (error) {
    throw refused('it is no backup, or not whole', error)
  }
  const at = (name: string) => path.join(folder, name)
  const written = existsSync(at(names.manifest)) ? readFileSync(at(names.manifest), 'utf8') : '{}'
  const manifest = manifestSchema.safeParse(JSON.parse(written))
  if (!manifest.success || !existsSync(at(names.database))) throw refused('it is no backup, or not whole')
  const { databaseSha256, mediaFiles, migration, version } = manifest.data
  if (!migrationNames.includes(migration))
    throw refused(`it was made by the newer version ${version}; install that first`)
  if ((await sha256Of(at(names.database))) !== databaseSha256) throw refused('its database is not whole')
  checkDatabase(at(names.database))
  if (mediaFiles !== null) {
    mkdirSync(at(names.media), { recursive: true })
    if (readdirSync(at(names.media)).length !== mediaFiles) throw refused('pictures are missing in it')
  }
  return manifest.data
}

/** Files with plain names, and nothing else. */
function isExpected(name: string, entry: object): boolean {
  const type = 'type' in entry ? entry.type : 'File'
  if (type === 'Directory') return /^media\/?$/.test(name)
  return type === 'File' && /^(?:backup\.json|elogio\.db|secret|media\/[\w.-]+)$/.test(name)
}

/**
 * Completes a restore that was interrupted, and deletes what an interrupted backup has left. Each step can be
 * repeated.
 * @returns the folder with what was there before, or null if there was no restore to complete
 */
export function completeRestore(dataFolder: string): string | null {
  if (!existsSync(dataFolder)) return null
  for (const name of readdirSync(dataFolder))
    if (name.startsWith(WORK)) rmSync(path.join(dataFolder, name), { recursive: true, force: true })
  const ready = path.join(dataFolder, READY)
  if (!existsSync(ready)) return null
  const replaced = path.join(dataFolder, REPLACED)
  const isBegun = existsSync(path.join(ready, 'begun'))
  if (!isBegun) {
    // Of two restores only the latest can be taken back.
    rmSync(replaced, { recursive: true, force: true })
    mkdirSync(replaced, { mode: 0o700 })
    mkdirSync(path.join(ready, 'begun'))
  }
  const put = (name: string) => {
    if (!existsSync(path.join(ready, name))) return
    const target = path.join(dataFolder, name)
    if (existsSync(target)) renameSync(target, path.join(replaced, name))
    renameSync(path.join(ready, name), target)
  }
  // Beside a database that is not theirs, these would damage it.
  if (existsSync(path.join(ready, names.database)))
    for (const name of [`${names.database}-wal`, `${names.database}-shm`, `${names.database}-journal`]) {
      const side = path.join(dataFolder, name)
      if (existsSync(side)) renameSync(side, path.join(replaced, name))
    }
  for (const name of [names.secret, names.media, names.database]) put(name)
  // Deleted in one step, so that half a folder is never taken for a restore.
  const done = path.join(dataFolder, UNPACKED)
  rmSync(done, { recursive: true, force: true })
  renameSync(ready, done)
  rmSync(done, { recursive: true, force: true })
  return readdirSync(replaced).length === 0 ? null : replaced
}
