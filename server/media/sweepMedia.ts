import { existsSync, readdirSync, rmSync, statSync, unlinkSync } from 'node:fs'
import path from 'node:path'
import { forgetMedia, forgetStaged, isKnownFile, unusedMedia } from '../data/media'
import { writing } from '../data/writing'
import type { Services } from '../services'

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
