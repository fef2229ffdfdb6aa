import { existsSync, readdirSync, rmSync, statSync, unlinkSync } from 'node:fs'
import path from 'node:path'
import { forgetMedia, forgetStaged, isKnownFile, unusedMedia } from '../data/media'
import { writing } from '../data/writing'
import { withoutPendingForm } from '../data/photos'
import type { Services } from '../services'
import { pendingFolder } from './keepFile'

const HOUR_MS = 3_600_000
/** Somebody can begin a form in the evening and send it the next morning. */
const STAGED_MS = 48 * HOUR_MS
/** Longer than any upload takes from its registration to its form. */
const UNUSED_MS = 24 * HOUR_MS

/**
 * Deletes photos of unsent forms, unused files, and incomplete files of a crash. Returns the number of
 * deleted files.
 */
export async function sweepMedia({ db, mediaFolder, now }: Services): Promise<number> {
  const before = (ms: number) => new Date(now().getTime() - ms).toISOString()
  await forgetStaged(db, before(STAGED_MS))
  let gone = 0
  for (const name of await unusedMedia(db, before(UNUSED_MS))) {
    // Deletes the file and its registration together, so that an upload of the same picture comes before or
    // after.
    gone += await writing(db, async (trx) => {
      if (!(await forgetMedia(trx, name, before(UNUSED_MS)))) return 0
      const file = path.join(mediaFolder, name)
      if (!existsSync(file)) return 0
      unlinkSync(file)
      return 1
    })
  }
  gone += await sweepPending({ db, mediaFolder, now })
  if (!existsSync(mediaFolder)) return gone
  for (const name of readdirSync(mediaFolder)) {
    const file = path.join(mediaFolder, name)
    if (now().getTime() - statSync(file).mtimeMs < HOUR_MS) continue
    if (await isKnownFile(db, name)) continue
    rmSync(file, { force: true })
    gone++
  }
  return gone
}

/** Deletes the files that came before a form which was sent, or never was. */
async function sweepPending(services: Pick<Services, 'db' | 'mediaFolder' | 'now'>): Promise<number> {
  const folder = pendingFolder(services)
  if (!existsSync(folder)) return 0
  const before = services.now().getTime() - HOUR_MS
  const old = readdirSync(folder).filter((name) => statSync(path.join(folder, name)).mtimeMs < before)
  let gone = 0
  for (let start = 0; start < old.length; start += FILES_AT_ONCE)
    for (const name of await withoutPendingForm(services.db, old.slice(start, start + FILES_AT_ONCE))) {
      rmSync(path.join(folder, name), { force: true })
      gone++
    }
  return gone
}

const FILES_AT_ONCE = 300
