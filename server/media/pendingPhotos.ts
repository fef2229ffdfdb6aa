import type { Photo } from '../../core/intake/candidate'
import type { PhotoRef, PhotoRefusal } from '../../core/intake/photos'
import { findPendingPhotos, insertPendingPhoto, type PendingPhoto } from '../data/photos'
import type { Services } from '../services'
import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { keepPendingFile, pendingFolder, releasePendingFile } from './keepFile'
import { lacksRoom, type NoRoom } from './uploadRoom'
import { makePhoto } from './photo'

/** A stored photo of a form that is not sent yet. */
export interface StoredPhoto {
  key: string
  /** Its thumbnail as a data URL: nobody but its sender gets it. */
  shown: string
  width: number
  height: number
}

interface FormOfShop {
  id: number
  shopId: number
}

/**
 * Stores a photo before its form is sent, so that an error in the form loses none.
 * @param network that it comes from
 */
export async function storePendingPhoto(
  services: Services,
  form: FormOfShop,
  bytes: Buffer,
  network: string,
): Promise<StoredPhoto | { refused: PhotoRefusal } | { full: NoRoom }> {
  const full = await lacksRoom(services, { form, network }, { bytes: bytes.length, photos: 1, videos: 0 })
  if (full) return { full }
  const made = await makePhoto(bytes)
  if ('refused' in made) return made
  const { width, height } = made.large.info
  const stored: PendingPhoto = {
    key: services.newId(),
    name: await keepPendingFile(services, made.large),
    small: await keepPendingFile(services, made.small),
    width,
    height,
    video: null,
    seconds: null,
  }
  await insertPendingPhoto(services.db, form, stored, {
    network,
    bytes: made.large.data.length + made.small.data.length,
    now: services.now().toISOString(),
  })
  return { key: stored.key, shown: dataUrl(made.small.data), width, height }
}

const dataUrl = (webp: Buffer) => `data:image/webp;base64,${webp.toString('base64')}`

/** The uploaded photos of a form, to show them to their sender again; missing ones are left out. */
export async function shownPending(
  services: Pick<Services, 'db' | 'mediaFolder'>,
  form: FormOfShop,
  refs: PhotoRef[],
): Promise<{ key: string; shown: string; alt: string }[]> {
  const photos = await pendingPhotos(services, form, refs)
  const shown = await Promise.all(
    photos.map(async ({ key, small, alt }) => {
      const file = await readFile(path.join(pendingFolder(services), small)).catch(() => null)
      return file && { key, shown: dataUrl(file), alt }
    }),
  )
  return shown.filter((one) => one !== null)
}

type PendingOfForm = Photo & { key: string }

/** The uploaded photos of a form; missing ones are left out. */
export async function pendingPhotos(
  { db }: Pick<Services, 'db'>,
  form: FormOfShop,
  refs: PhotoRef[],
): Promise<PendingOfForm[]> {
  const found = await findPendingPhotos(
    db,
    form.id,
    refs.map(({ key }) => key),
  )
  return refs.flatMap(({ key, alt }) => {
    const photo = found.find((one) => one.key === key)
    return photo ? [{ ...photo, alt }] : []
  })
}

/** The same for a form that is sent: from now on their files can be fetched. */
export async function releasePendingPhotos(
  services: Services,
  form: FormOfShop,
  refs: PhotoRef[],
): Promise<PendingOfForm[]> {
  const photos = await pendingPhotos(services, form, refs)
  for (const { name, small, width, height, video } of photos) {
    await releasePendingFile(services, form.shopId, { name, width, height })
    await releasePendingFile(services, form.shopId, { name: small, width, height })
    if (video) await releasePendingFile(services, form.shopId, { name: video, width: 0, height: 0 })
  }
  return photos
}
