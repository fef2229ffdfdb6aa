import type { Services } from '../services'
import { keepFile } from './keepFile'
import { limited, pictureBytes } from './picture'

/** Sharp on dense screens at the sizes that pages show. */
const LONGEST_PX = 256

/**
 * Keeps a picture that came with a form, created again so that nothing else comes along (places, programs, bombs).
 * @param address a data address; empty for none
 * @returns the file's name, or null when there is none or it is no picture
 */
export async function storePicture(
  services: Services,
  shopId: number,
  address: string,
  longestPx = LONGEST_PX,
): Promise<string | null> {
  const bytes = pictureBytes(address)
  const made = bytes && (await remade(bytes, longestPx))
  return made ? keepFile(services, shopId, made) : null
}

async function remade(bytes: Buffer, longestPx: number) {
  return limited(bytes)
    .rotate()
    .resize(longestPx, longestPx, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 84 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => null)
}
