import { fileTypeFromBuffer } from 'file-type'
import pLimit from 'p-limit'
import type { Metadata, Sharp } from 'sharp'
import { MOST_PHOTO_BYTES, MOST_PIXELS, type PhotoRefusal } from '../../core/intake/photos'
import type { MadePicture } from './keepFile'
import { loadSharp } from './sharp'

/** Side lengths of the opened photo, and of the thumbnail on a dense screen. */
const LARGE_PX = 1600
const SMALL_PX = 320
const LONGEST_SECONDS = 20
/** At most two photos are processed at a time, which limits the memory. The library uses threads of its own. */
const heavyWork = pLimit(2)

const photoTypes = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/avif', 'image/gif'])

type PhotoOutcome = { large: MadePicture; small: MadePicture } | { refused: PhotoRefusal }

/**
 * Re-encodes a photo in two sizes, upright and without metadata such as place and device. Its type is read
 * from the content, not from the name.
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
  const sharp = await loadSharp()
  try {
    const metadata = await sharp(bytes).metadata()
    if (metadata.width * metadata.height > mostPixels(metadata)) return { refused: 'pixels' }
    // In one pass from top to bottom, so that a large one never is in memory as a whole.
    const opened = sharp(bytes, { limitInputPixels: MOST_PIXELS.photo, sequentialRead: true })
    const large = await sized(opened, LARGE_PX, 80)
    return { large, small: await sized(sharp(large.data), SMALL_PX, 76) }
  } catch (error) {
    const why = String(error)
    return { refused: /pixel limit/i.test(why) ? 'pixels' : /timeout/i.test(why) ? 'slow' : 'unreadable' }
  }
}

function mostPixels({ format, isProgressive }: Metadata): number {
  if (format === 'jpeg') return isProgressive ? MOST_PIXELS.progressive : MOST_PIXELS.photo
  return format === 'heif' ? MOST_PIXELS.avif : MOST_PIXELS.other
}

function sized(image: Sharp, longest: number, quality: number): Promise<MadePicture> {
  return image
    .rotate()
    .resize(longest, longest, { fit: 'inside', withoutEnlargement: true })
    .timeout({ seconds: LONGEST_SECONDS })
    .webp({ quality })
    .toBuffer({ resolveWithObject: true })
}
