import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { copyFile, mkdir, rename, rm, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { insertMedia } from '../data/media'
import type { Services } from '../services'

/** A re-encoded picture, as `webp`. */
export interface MadePicture {
  data: Buffer
  info: { width: number; height: number }
}

/** Stores a picture in a file named by its content, which anybody can fetch who knows the name. Returns the name. */
export async function keepFile(
  services: Pick<Services, 'db' | 'mediaFolder' | 'now' | 'newId'>,
  shopId: number,
  picture: MadePicture,
): Promise<string> {
  const { db, mediaFolder, now } = services
  const name = nameOf(picture)
  // Registered before it is written: the clean-up of unused files skips recent registrations.
  await insertMedia(db, { shopId, name, ...size(picture.info), createdAt: now().toISOString() })
  await writeWhole(services, path.join(mediaFolder, name), picture.data)
  return name
}

/** The folder of what came before its form. Nobody can fetch it. */
export const pendingFolder = ({ mediaFolder }: Pick<Services, 'mediaFolder'>): string =>
  path.join(mediaFolder, '..', 'incoming', 'photos')

/** Stores a picture whose form is not sent. Returns the name. */
export async function keepPendingFile(
  services: Pick<Services, 'mediaFolder' | 'newId'>,
  picture: MadePicture,
): Promise<string> {
  const name = nameOf(picture)
  await writeWhole(services, path.join(pendingFolder(services), name), picture.data)
  return name
}

/** Makes a file that came before its form one that can be fetched. A second time it is there already. */
export async function releasePendingFile(
  services: Pick<Services, 'db' | 'mediaFolder' | 'now' | 'newId'>,
  shopId: number,
  { name, width, height }: { name: string; width: number; height: number },
): Promise<void> {
  const { db, mediaFolder, now, newId } = services
  await insertMedia(db, { shopId, name, width, height, createdAt: now().toISOString() })
  const file = path.join(mediaFolder, name)
  if (existsSync(file)) return
  await mkdir(mediaFolder, { recursive: true })
  const part = `${file}.${newId()}.part`
  await copyFile(path.join(pendingFolder(services), name), part)
  await rename(part, file)
}

const nameOf = ({ data }: MadePicture) =>
  `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.webp`

/** An existing file is complete, also after a crash or two equal uploads at once. */
async function writeWhole({ newId }: Pick<Services, 'newId'>, file: string, data: Buffer): Promise<void> {
  await mkdir(path.dirname(file), { recursive: true })
  const part = `${file}.${newId()}.part`
  try {
    await writeFile(part, data)
    await rename(part, file)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
}

const size = ({ width, height }: MadePicture['info']) => ({ width, height })
