import { createHash } from 'node:crypto'
import { mkdir, rename, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { insertMedia } from '../data/media'
import type { Services } from '../services'

/** A picture that was created again, as `webp`. */
export interface MadePicture {
  data: Buffer
  info: { width: number; height: number }
}

/** Keeps a picture in a file named by its content; answers the file's name. */
export async function keepFile(
  { db, mediaFolder, now, newId }: Pick<Services, 'db' | 'mediaFolder' | 'now' | 'newId'>,
  shopId: number,
  { data, info }: MadePicture,
): Promise<string> {
  const name = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.webp`
  // Noted before it is written: what sweeps unused files leaves those alone that were noted lately.
  await insertMedia(db, { shopId, name, ...size(info), now: now().toISOString() })
  await mkdir(mediaFolder, { recursive: true })
  const file = path.join(mediaFolder, name)
  // A file that is there is whole, also after a crash in the middle of writing it, and when two bring the same at once.
  const part = `${file}.${newId()}.part`
  try {
    await writeFile(part, data)
    await rename(part, file)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
  return name
}

const size = ({ width, height }: MadePicture['info']) => ({ width, height })
