import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import path from 'node:path'
import { extract } from 'tar'
import { unusable } from '../data/migrations'
import { lockFolder } from '../folderLock'
import { stampOf } from './backupsFolder'
import { checkDatabase, lockDatabase, sha256Of } from './databaseCopy'
import { manifestSchema, names, type Manifest } from './manifest'
import { removeParts } from './backupsFolder'
import { WORK } from './writeBackup'

/** An unpacked backup that has not been checked. */
const UNPACKED = 'restore-work'
/** A checked one. From here on the restore is completed, now or at the next start. */
const READY = 'restore-ready'
/** Folders with what was there before, one for each restore. */
const REPLACED = 'before-restore'
/** In a checked backup: the name of the folder for what it replaces. */
const REPLACES = 'replaces'

/**
 * Puts a backup in the place of the data. Until the backup has been checked nothing changes; an interruption after that
 * is completed at the next start. What was there before stays beside it, in a folder for each restore.
 * @returns the folder with what was there before, or null if nothing was
 * @throws Error if the application runs, or the file is no whole backup
 */
export async function restoreBackup(
  dataFolder: string,
  file: string,
  now: Date,
): Promise<{ manifest: Manifest; replaced: string | null }> {
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`)
  mkdirSync(dataFolder, { recursive: true, mode: 0o700 })
  const running = 'Elogio is running. Stop it first, then restore.'
  const unlock = lockFolder(dataFolder, running)
  let release: () => void = () => undefined
  try {
    release = lockData(dataFolder, running)
    completeRestore(dataFolder)
    const manifest = await unpack(dataFolder, file)
    // Earlier ones stay: each restore can be taken back.
    writeFileSync(path.join(dataFolder, UNPACKED, REPLACES), freeName(dataFolder, now))
    renameSync(path.join(dataFolder, UNPACKED), path.join(dataFolder, READY))
    return { manifest, replaced: completeRestore(dataFolder) }
  } finally {
    rmSync(path.join(dataFolder, UNPACKED), { recursive: true, force: true })
    release()
    unlock()
  }
}

/** `before-restore-2026-12-01T14-30-05`, with a number if that is there. */
function freeName(dataFolder: string, now: Date): string {
  const name = `${REPLACED}-${stampOf(now)}`
  for (let number = 1; ; number++) {
    const free = number === 1 ? name : `${name}-${number}`
    if (!existsSync(path.join(dataFolder, free))) return free
  }
}

/** Commands have the database open, and not the folder. */
function lockData(dataFolder: string, running: string): () => void {
  const database = path.join(dataFolder, names.database)
  if (!existsSync(database)) return () => undefined
  try {
    return lockDatabase(database)
  } catch (error) {
    if (!(error instanceof Error) || !/locked|busy/i.test(error.message)) throw error
    throw new Error(running, { cause: error })
  }
}

async function unpack(dataFolder: string, file: string): Promise<Manifest> {
  const folder = path.join(dataFolder, UNPACKED)
  rmSync(folder, { recursive: true, force: true })
  mkdirSync(folder, { mode: 0o700 })
  const refused = (why: string, cause?: unknown) =>
    new Error(`${file} cannot be restored: ${why}. Nothing has changed.`, { cause })
  try {
    await extract({
      file,
      cwd: folder,
      strict: true,
      preserveOwner: false,
      filter: (name, entry) => isExpected(name, entry),
    })
  } catch (error) {
    throw refused('it is no backup, or not whole', error)
  }
  const at = (name: string) => path.join(folder, name)
  const manifest = manifestSchema.safeParse(readManifest(at(names.manifest)))
  if (!manifest.success || !existsSync(at(names.database))) throw refused('it is no backup, or not whole')
  const { databaseSha256, mediaFiles, migration, version } = manifest.data
  const why = unusable([migration])
  if (why === 'beforeRelease') throw refused('it was made before the first release')
  if (why === 'newer') throw refused(`it was made by the newer version ${version}; install that first`)
  if ((await sha256Of(at(names.database))) !== databaseSha256) throw refused('its database is not whole')
  checkDatabase(at(names.database))
  if (mediaFiles !== null) {
    mkdirSync(at(names.media), { recursive: true })
    if (readdirSync(at(names.media)).length !== mediaFiles) throw refused('pictures are missing in it')
  }
  return manifest.data
}

/** What a file contains as JSON; null if it is missing or something else. */
function readManifest(file: string): unknown {
  if (!existsSync(file)) return null
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

/** Files with plain names, and nothing else. */
function isExpected(name: string, entry: object): boolean {
  const type = 'type' in entry ? entry.type : 'File'
  if (type === 'Directory') return /^media\/?$/.test(name)
  return type === 'File' && /^(?:backup\.json|elogio\.db|secret|media\/[\w.-]+)$/.test(name)
}

/** A restore by root belongs to the account that the application runs as. Nobody else can give files away. */
function giveToOwner(dataFolder: string, target: string): void {
  if (process.getuid?.() !== 0) return
  const { uid, gid } = statSync(dataFolder)
  if (statSync(target).uid === uid) return
  chownSync(target, uid, gid)
  if (!statSync(target).isDirectory()) return
  for (const name of readdirSync(target)) chownSync(path.join(target, name), uid, gid)
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
  removeParts(dataFolder)
  const ready = path.join(dataFolder, READY)
  if (!existsSync(ready)) return null
  const chosen = path.join(ready, REPLACES)
  const replaced = path.join(
    dataFolder,
    existsSync(chosen) ? path.basename(readFileSync(chosen, 'utf8')) : REPLACED,
  )
  mkdirSync(replaced, { recursive: true, mode: 0o700 })
  giveToOwner(dataFolder, replaced)
  const put = (name: string) => {
    if (!existsSync(path.join(ready, name))) return
    const target = path.join(dataFolder, name)
    if (existsSync(target)) renameSync(target, path.join(replaced, name))
    renameSync(path.join(ready, name), target)
    if (name !== names.media) chmodSync(target, 0o600)
    giveToOwner(dataFolder, target)
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
