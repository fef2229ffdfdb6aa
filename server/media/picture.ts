import { MOST_PIXELS } from '../../core/intake/photos'
import { loadSharp } from './sharp'

const SHOP_PICTURE_PX = 128

export async function limited(bytes: Buffer) {
  const sharp = await loadSharp()
  return sharp(bytes, { limitInputPixels: MOST_PIXELS.photo, density: 192 })
}

/**
 * Re-encodes a shop's picture as a data URL of at most 128 px, so that nothing hidden remains.
 * @throws if the bytes are no picture
 */
export async function shopPicture(bytes: Buffer): Promise<string> {
  const picture = await limited(bytes)
  const webp = await picture
    .rotate()
    .resize(SHOP_PICTURE_PX, SHOP_PICTURE_PX, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 88 })
    .toBuffer()
  return `data:image/webp;base64,${webp.toString('base64')}`
}

/** Re-encodes a picture that a form sends as a data URL; null if there is none or it can't be read. */
export async function cleanPicture(address: string): Promise<string | null> {
  const bytes = pictureBytes(address)
  return bytes ? shopPicture(bytes).catch(() => null) : null
}

/** The bytes of a data URL; null if it is none. */
export function pictureBytes(address: string): Buffer | null {
  const base64 = /^data:image\/[a-z+]+;base64,(.+)$/.exec(address)?.[1]
  return base64 ? Buffer.from(base64, 'base64') : null
}
