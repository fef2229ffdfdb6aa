import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import path from 'node:path'

/** The folder of the backups that are made by themselves. */
export function backupsFolder(dataFolder: string): string {
  const folder = path.join(dataFolder, 'backups')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  return folder
}

/** A moment as a part of a file name, so that names sort by time: 2026-11-29T14-30-05. */
export const stampOf = (moment: Date): string => moment.toISOString().slice(0, 19).replaceAll(':', '-')

/** The moment in the name of a backup; null for another file. */
export function madeAt(name: string): Date | null {
  const [, day, hour, minute, second] = /(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)\.tar\.gz$/.exec(name) ?? []
  return day ? new Date(`${day}T${hour}:${minute}:${second}Z`) : null
}

/** The backups whose names begin in a way, the latest first. */
export function backupsIn(folder: string, begin: string): { name: string; at: Date }[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .filter((name) => name.startsWith(begin))
    .flatMap((name) => {
      const at = madeAt(name)
      return at ? [{ name, at }] : []
    })
    .sort((a, b) => b.at.getTime() - a.at.getTime())
}

/** What a backup is called until it is complete. */
export const PART = '.part'

/** Deletes what backups that were interrupted have left. */
export function removeParts(dataFolder: string): void {
  const folder = backupsFolder(dataFolder)
  for (const name of readdirSync(folder)) if (name.endsWith(PART)) rmSync(path.join(folder, name))
}

/** Deletes all but the latest of the backups whose names begin in a way. */
export function prune(folder: string, begin: string, kept: number): void {
  for (const { name } of backupsIn(folder, begin).slice(kept))
    rmSync(path.join(folder, name), { force: true })
}
