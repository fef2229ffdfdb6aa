import { statfs } from 'node:fs/promises'
import path from 'node:path'
import { pendingUploads } from '../data/photos'
import type { Services } from '../services'

/** What strangers may leave here before they send a form: in bytes, and in files with a video. */
const uploadLimits = {
  network: { bytes: 250_000_000, videos: 6, photos: 60 },
  form: { bytes: 2_000_000_000, videos: 30, photos: 1500 },
  shop: { bytes: 4_000_000_000, videos: 40, photos: 4000 },
} as const

/** What is full. */
export type NoRoom = 'network' | 'form' | 'disk'

/** Who sends, and to which form. */
interface Uploader {
  form: { id: number; shopId: number }
  /** The network of the client. */
  network: string
}

/**
 * Whether there is room for a photo or a piece of a video; null if there is.
 * @param adds what comes along
 */
export async function lacksRoom(
  services: Pick<Services, 'db' | 'mediaFolder' | 'diskReserve'>,
  { form, network }: Uploader,
  adds: { bytes: number; videos: number; photos: number },
): Promise<NoRoom | null> {
  const left = await pendingUploads(services.db, form, network)
  const isFull = (of: keyof typeof uploadLimits) =>
    (['bytes', 'videos', 'photos'] as const).some(
      (what) => left[of][what] + adds[what] > uploadLimits[of][what],
    )
  if (isFull('network')) return 'network'
  if (isFull('form') || isFull('shop')) return 'form'
  return (await fillsReserve(services, adds.bytes)) ? 'disk' : null
}

/** The last part of a disk is for the database, backups and what the shop does itself. */
async function fillsReserve(
  { mediaFolder, diskReserve }: Pick<Services, 'mediaFolder' | 'diskReserve'>,
  bytes: number,
): Promise<boolean> {
  if (diskReserve === 0) return false
  const disk = await statfs(path.dirname(mediaFolder)).catch(() => null)
  return disk !== null && disk.bavail * disk.bsize - bytes < diskReserve * disk.blocks * disk.bsize
}
