import { createHash } from 'node:crypto'
import { mkdir, rename, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { insertMedia } from '../data/media'
import type { Services } from '../services'
import { limited, pictureBytes } from './picture'

/** Sharp on dense screens at the sizes that pages show. */
const LONGEST_PX = 256

/**
 * Keeps a picture that came with a form, made anew so that nothing else comes along (places, programs, bombs), in a
 * file named by its content.
 * @param address a data address; empty for none
 * @returns the file's name, or null when there is none or it is no picture
 */
export async function keepPicture(
  services: Services,
  shopId: number,
  address: string,
  longestPx = LONGEST_PX,
): Promise<string | null> {
  const bytes = pictureBytes(address)
  const made = bytes && (await remade(bytes, longestPx))
  if (!made) return null
  const { data, info } = made
  const name = `${createHash('sha256').update(data).digest('hex').slice(0, 32)}.webp`
  await mkdir(services.mediaFolder, { recursive: true })
  const file = path.join(services.mediaFolder, name)
  // A file that is there is whole, also after a crash in the middle of writing it.
  await writeFile(`${file}.part`, data)
  await rename(`${file}.part`, file)
  const now = services.now().toISOString()
  await insertMedia(services.db, { shopId, name, width: info.width, height: info.height, now })
  return name
}

async function remade(bytes: Buffer, longestPx: number) {
  return limited(bytes)
    .rotate()
    .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 84 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => null)
}
