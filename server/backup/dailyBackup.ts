import { existsSync } from 'node:fs'
import { statfs } from 'node:fs/promises'
import path from 'node:path'
import { messageCode } from '../../core/messages/code'
import { names } from './manifest'
import { backupsFolder, backupsIn, prune, stampOf } from './backupsFolder'
import { spaceFor, writeBackup } from './writeBackup'

const HOUR_MS = 3_600_000
/** Checked once an hour, so that a backup is never much older than a day. */
const EVERY_MS = 23.5 * HOUR_MS
export const DAILY = 'daily-'
/** A week of them. */
const MAX_DAILY = 7
/** What stays free on the disk beside a backup. */
const SPARE_BYTES = 300_000_000

/**
 * Makes a backup if the latest is a day old, and deletes those older than a week.
 * @returns whether one was made
 * @throws Error with a message code if there is too little space
 */
export async function makeDailyBackup(dataFolder: string, now: Date): Promise<boolean> {
  if (!existsSync(path.join(dataFolder, names.database))) return false
  const folder = backupsFolder(dataFolder)
  const [latest] = backupsIn(folder, DAILY)
  if (latest && now.getTime() - latest.at.getTime() < EVERY_MS) return false
  const { bavail, bsize } = await statfs(folder)
  const needed = (await spaceFor(dataFolder)) + SPARE_BYTES
  if (bavail * bsize < needed)
    throw new Error(messageCode('problems.backupNoSpace', { megabytes: Math.ceil(needed / 1_000_000) }))
  await writeBackup({
    dataFolder,
    file: path.join(folder, `${DAILY}${stampOf(now)}.tar.gz`),
    now,
    withMedia: true,
  })
  prune(folder, DAILY, MAX_DAILY)
  return true
}
