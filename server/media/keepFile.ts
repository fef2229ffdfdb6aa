import { createHash } from 'node:crypto'
import { mkdir, rename, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { insertMedia } from '../data/media'
import type { Services } from '../services'

/** A re-encoded picture, as `webp`. */
export interface MadePicture {
  data: Buffer
  info: { width: number; height: number }
}

/** Stores a picture in a file named by its content. Returns the name. */
export async function keepFile(
  { db, mediaFolder, now, newId }: Pick<Services, 'db' | 'mediaFolder' | 'now' | 'newId'>,
  shopId: number,
  { data, info }: MadePicture,
): Promise<string> {
  const name = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.webp`
  // Registered before it is written: the clean-up of unused files skips recent registrations.
  await insertMedia(db, { shopId, name, ...size(info), now: now().toISOString() })
  await mkdir(mediaFolder, { recursive: true })
  const file = path.join(mediaFolder, name)
  // An existing file is complete, also after a crash or two equal uploads at once.
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
