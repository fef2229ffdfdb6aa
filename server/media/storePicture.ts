import type { Services } from '../services'
import { keepFile } from './keepFile'
import { limited, pictureBytes } from './picture'

/** Sharp on dense screens at the displayed sizes. */
const LONGEST_PX = 256

/**
 * Stores a picture of a form, re-encoded so that nothing hidden remains.
 * @param address a data URL; empty for none
 * @returns the file's name; null if there is none or it can't be read
 */
export async function storePicture(
  services: Services,
  shopId: number,
  address: string,
  longestPx = LONGEST_PX,
): Promise<string | null> {
  const bytes = pictureBytes(address)
  return bytes && storePictureBytes(services, shopId, bytes, longestPx)
}

/** The same for the bytes of a file. */
export async function storePictureBytes(
  services: Services,
  shopId: number,
  bytes: Buffer,
  longestPx = LONGEST_PX,
): Promise<string | null> {
  const made = await remade(bytes, longestPx)
  return made && keepFile(services, shopId, made)
}

async function remade(bytes: Buffer, longestPx: number) {
  const picture = await limited(bytes)
  return picture
    .rotate()
    .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 84 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => null)
}
