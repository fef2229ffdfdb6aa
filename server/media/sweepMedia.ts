import { existsSync, readdirSync, rmSync, statSync, unlinkSync } from 'node:fs'
import path from 'node:path'
import { forgetMedia, forgetStaged, isKnownFile, unusedMedia } from '../data/media'
import { writing } from '../data/writing'
import type { Services } from '../services'

const HOUR_MS = 3_600_000
/** Somebody who begins a form in the evening may send it the next morning. */
const STAGED_MS = 48 * HOUR_MS
/** Longer than any upload takes from its note to the form it belongs to. */
const UNUSED_MS = 24 * HOUR_MS

/**
 * Removes what no form was sent for, pictures that nothing shows any more, and what a crash left behind half written.
 * Answers how many files went.
 */
export async function sweepMedia({ db, mediaFolder, now }: Services): Promise<number> {
  const before = (ms: number) => new Date(now().getTime() - ms).toISOString()
  await forgetStaged(db, before(STAGED_MS))
  let gone = 0
  for (const name of await unusedMedia(db, before(UNUSED_MS))) {
    // File and note go together while nobody else can write a note: an upload of the same picture comes before or after.
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
