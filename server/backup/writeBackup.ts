import { errorCode } from '../../core/formats/errorCode'
import { copyFileSync, existsSync, linkSync, mkdirSync, mkdtempSync, readdirSync } from 'node:fs'
import { open, rename, rm, stat, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { create } from 'tar'
import packageJson from '../../package.json' with { type: 'json' }
import { PART } from './backupsFolder'
import { checkDatabase, copyDatabase, sha256Of } from './databaseCopy'
import { names, type Manifest } from './manifest'

/** What a backup needs to know. */
interface BackupGiven {
  dataFolder: string
  /** The file to be written; it must not exist. */
  file: string
  now: Date
  /** Without pictures it is a copy of the database alone, for the way back after an update. */
  withMedia: boolean
}

/** Work folders begin like this; one that is left over from a crash is deleted at the next start. */
export const WORK = 'backup-work-'

/**
 * Writes the database, the pictures and the signing secret into one file, while the application runs. The file
 * appears under its name when it is complete.
 * @throws Error if the file exists already, or the copy is damaged
 */
export async function writeBackup({ dataFolder, file, now, withMedia }: BackupGiven): Promise<Manifest> {
  if (existsSync(file)) throw new Error(`${file} exists already.`)
  const work = mkdtempSync(path.join(dataFolder, WORK))
  const part = file + PART
  try {
    const at = (name: string) => path.join(work, name)
    const pictures = path.join(dataFolder, names.media)
    // Before the copy and after it: what is deleted or added meanwhile is then in it.
    if (withMedia) linkAll(pictures, at(names.media))
    await copyDatabase(path.join(dataFolder, names.database), at(names.database))
    if (withMedia) linkAll(pictures, at(names.media))
    const secret = path.join(dataFolder, names.secret)
    if (existsSync(secret)) copyFileSync(secret, at(names.secret))
    const migration = checkDatabase(at(names.database))
    if (migration === null) throw new Error(`There is no data in ${dataFolder} yet.`)
    const manifest: Manifest = {
      format: 1,
      version: packageJson.version,
      madeAt: now.toISOString(),
      migration,
      databaseSha256: await sha256Of(at(names.database)),
      mediaFiles: withMedia ? readdirSync(at(names.media)).length : null,
    }
    await writeFile(at(names.manifest), `${JSON.stringify(manifest, null, 2)}\n`)
    const parts = [names.manifest, names.database, names.secret, names.media].filter((name) =>
      existsSync(at(name)),
    )
    await create({ cwd: work, file: part, gzip: { level: 4 }, portable: true, mode: 0o600 }, parts)
    await saveToDisk(part)
    await rename(part, file)
    return manifest
  } finally {
    await rm(work, { recursive: true, force: true })
    await rm(part, { force: true })
  }
}

/** Links need no space; where they are not possible, files are copied. */
function linkAll(from: string, to: string): void {
  mkdirSync(to, { recursive: true })
  if (!existsSync(from)) return
  for (const name of readdirSync(from)) {
    const [source, target] = [path.join(from, name), path.join(to, name)]
    if (existsSync(target) || name.endsWith('.part')) continue
    try {
      linkSync(source, target)
    } catch (error) {
      if (errorCode(error) === 'ENOENT') continue
      copyFileSync(source, target)
    }
  }
}

async function saveToDisk(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  try {
    await handle.chmod(0o600)
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** The bytes that a backup takes at most, for the file and its copy of the database. */
export async function spaceFor(dataFolder: string): Promise<number> {
  const size = async (file: string) => (await stat(file).catch(() => ({ size: 0 }))).size
  const database = await size(path.join(dataFolder, names.database))
  const folder = path.join(dataFolder, names.media)
  let media = 0
  for (const name of existsSync(folder) ? readdirSync(folder) : [])
    media += await size(path.join(folder, name))
  return 2 * database + media
}
