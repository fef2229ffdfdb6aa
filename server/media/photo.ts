import { fileTypeFromBuffer } from 'file-type'
import pLimit from 'p-limit'
import sharp, { type Sharp } from 'sharp'
import { MOST_PHOTO_BYTES, MOST_PHOTO_PIXELS, type PhotoRefusal } from '../../core/intake/photos'
import type { MadePicture } from './keepFile'

/** As large as it is opened, and as it stands in a row of photos on a dense screen. */
const LARGE_PX = 1600
const SMALL_PX = 320
const LONGEST_SECONDS = 20
/**
 * No more than two photos are made at a time, so that many at once take no more memory than two. Pixels are worked on in
 * threads of the library's own, outside of the main one.
 */
const heavyWork = pLimit(2)

const photoTypes = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif'])

export type PhotoOutcome = { large: MadePicture; small: MadePicture } | { refused: PhotoRefusal }

/**
 * A photo created again in two sizes: upright, and without what a camera writes beside it (the place, the device). What it
 * is is read from its content, never from its name.
 */
export async function makePhoto(bytes: Buffer): Promise<PhotoOutcome> {
  const refused = await refusalByKind(bytes)
  return refused ? { refused } : heavyWork(() => remade(bytes))
}

async function refusalByKind(bytes: Buffer): Promise<PhotoRefusal | null> {
  if (bytes.length === 0) return 'empty'
  if (bytes.length > MOST_PHOTO_BYTES) return 'large'
  const type = (await fileTypeFromBuffer(bytes))?.mime ?? ''
  if (photoTypes.has(type)) return null
  if (type.startsWith('video/')) return 'video'
  if (type.startsWith('image/')) return 'unreadable'
  return /<svg[\s>]/i.test(bytes.subarray(0, 4096).toString('latin1')) ? 'drawing' : 'other'
}

async function remade(bytes: Buffer): Promise<PhotoOutcome> {
  try {
    const large = await sized(opened(bytes), LARGE_PX, 80)
    return { large, small: await sized(sharp(large.data), SMALL_PX, 76) }
  } catch (error) {
    const why = String(error)
    return { refused: /pixel limit/i.test(why) ? 'pixels' : /timeout/i.test(why) ? 'slow' : 'unreadable' }
  }
}

/** Read in one pass from top to bottom, so that a large one never lies in memory whole. */
const opened = (bytes: Buffer) => sharp(bytes, { limitInputPixels: MOST_PHOTO_PIXELS, sequentialRead: true })

function sized(image: Sharp, longest: number, quality: number): Promise<MadePicture> {
  return image
    .rotate()
    .resize(longest, longest, { fit: 'inside', withoutEnlargement: true })
    .timeout({ seconds: LONGEST_SECONDS })
    .webp({ quality })
    .toBuffer({ resolveWithObject: true })
}
