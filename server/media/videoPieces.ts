import { pipeline } from 'node:stream/promises'
import { createHash } from 'node:crypto'
import { createReadStream, existsSync } from 'node:fs'
import { mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises'
import path from 'node:path'
import { MOST_VIDEO_BYTES, type VideoRefusal } from '../../core/video/video'
import { addPendingBytes, findPendingPhotos, setPendingVideo } from '../data/photos'
import type { Services } from '../services'
import { pendingFolder } from './keepFile'
import { TaskExhausted } from '../workers/workers'
import { lacksRoom, type NoRoom } from './uploadRoom'

/* Videos are sent in pieces, and kept as parts of files beside the pictures until they are whole and checked. */

/** Unfinished ones of a shop; the oldest gives way. */
const MOST_UNFINISHED = 20
const DAY_MS = 86_400_000

type Given = Pick<Services, 'mediaFolder'>
const folderOf = ({ mediaFolder }: Given) => path.join(mediaFolder, '..', 'incoming', 'videos')

type VideoOutcome =
  /** So much is there; the next piece begins here. */
  | { size: number }
  | { video: string; seconds: number }
  | { refused: VideoRefusal }
  /** There is no picture with this key. */
  | { missing: true }
  /** Too many wait for their forms. */
  | { full: NoRoom }

/**
 * Appends a piece to the video of an uploaded picture; with the last one, the video is checked and belongs to the
 * picture. A piece that does not begin where the file ends is not kept, and the answer says where to go on.
 * @param key of the picture, which the browser made of the video
 * @param whole the bytes of the whole video
 * @param network that it comes from
 */
export function storeVideoPiece(
  services: Services,
  form: { id: number; shopId: number },
  piece: VideoPiece,
  network: string,
): Promise<VideoOutcome> {
  // The last piece, sent twice at once, would check and move the file twice.
  return services.uploadTurns(`${form.id} ${piece.key}`, () => storeInTurn(services, form, piece, network))
}

interface VideoPiece {
  key: string
  at: number
  whole: number
  bytes: Uint8Array
}

async function storeInTurn(
  services: Services,
  form: { id: number; shopId: number },
  { key, at, whole, bytes }: VideoPiece,
  network: string,
): Promise<VideoOutcome> {
  if (whole > MOST_VIDEO_BYTES) return { refused: 'large' }
  const [picture] = await findPendingPhotos(services.db, form.id, [key])
  if (!picture) return { missing: true }
  if (picture.video) return { video: picture.video, seconds: picture.seconds ?? 0 }
  const adds = { bytes: bytes.length, photos: 0, videos: 1 }
  const full = await lacksRoom(services, { form, network }, adds)
  if (full) return { full }
  const file = path.join(folderOf(services), `${form.shopId}-${key}.part`)
  const size = existsSync(file) ? (await stat(file)).size : 0
  if (at !== size) return { size }
  if (size + bytes.length > whole) return { refused: 'large' }
  await mkdir(path.dirname(file), { recursive: true })
  if (size === 0) await dropOldest(path.dirname(file), `${form.shopId}-`)
  // Written at its position, so that a piece that is sent twice at once is kept once.
  const handle = await open(file, size === 0 ? 'w' : 'r+', 0o600)
  try {
    await handle.write(bytes, 0, bytes.length, at)
  } finally {
    await handle.close()
  }
  await addPendingBytes(services.db, form, key, bytes.length)
  if (size + bytes.length < whole) return { size: size + bytes.length }
  return finish(services, form, key, file)
}

async function finish(
  services: Services,
  form: { id: number; shopId: number },
  key: string,
  file: string,
): Promise<VideoOutcome> {
  const { db, workers } = services
  const read = await workers.run('readVideo', { file }).catch((error: unknown) => {
    if (error instanceof TaskExhausted) return { refused: 'slow' } as const
    throw error
  })
  if ('refused' in read) {
    await rm(file, { force: true })
    return { refused: read.refused }
  }
  const name = `${await digestOf(file)}.${read.kind}`
  await mkdir(pendingFolder(services), { recursive: true })
  await rename(file, path.join(pendingFolder(services), name))
  await setPendingVideo(db, form, key, { video: name, seconds: read.seconds })
  return { video: name, seconds: read.seconds }
}

/** The beginning of its digest, as with pictures. */
async function digestOf(file: string): Promise<string> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  return hash.digest('hex').slice(0, 32)
}

async function dropOldest(folder: string, prefix: string): Promise<void> {
  const own = (await readdir(folder)).filter((name) => name.startsWith(prefix))
  if (own.length < MOST_UNFINISHED) return
  const aged = await Promise.all(
    own.map(async (name) => ({ name, at: (await stat(path.join(folder, name))).mtimeMs })),
  )
  for (const { name } of aged.toSorted((a, b) => a.at - b.at).slice(0, own.length - MOST_UNFINISHED + 1))
    await rm(path.join(folder, name), { force: true })
}

/** Deletes the parts that nobody has added to for a day. Returns their number. */
export async function sweepVideoPieces({ mediaFolder, now }: Given & Pick<Services, 'now'>): Promise<number> {
  const folder = folderOf({ mediaFolder })
  const before = now().getTime() - DAY_MS
  let swept = 0
  for (const name of existsSync(folder) ? await readdir(folder) : []) {
    const file = path.join(folder, name)
    if ((await stat(file)).mtimeMs >= before) continue
    await rm(file, { force: true })
    swept++
  }
  return swept
}
