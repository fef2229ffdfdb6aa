import type { Photo } from '../../core/intake/candidate'
import type { PhotoRef, PhotoRefusal } from '../../core/intake/photos'
import { findPendingPhotos, insertPendingPhoto, type PendingPhoto } from '../data/photos'
import type { Services } from '../services'
import { keepFile } from './keepFile'
import { makePhoto } from './photo'

/** A stored photo of a form that is not sent yet. */
export interface StoredPhoto {
  key: string
  small: string
  width: number
  height: number
}

interface FormOfShop {
  id: number
  shopId: number
}

/** Stores a photo before its form is sent, so that an error in the form loses none. */
export async function storePendingPhoto(
  services: Services,
  form: FormOfShop,
  bytes: Buffer,
): Promise<StoredPhoto | { refused: PhotoRefusal }> {
  const made = await makePhoto(bytes)
  if ('refused' in made) return made
  const { width, height } = made.large.info
  const stored: PendingPhoto = {
    key: services.newId(),
    name: await keepFile(services, form.shopId, made.large),
    small: await keepFile(services, form.shopId, made.small),
    width,
    height,
    video: null,
    seconds: null,
  }
  await insertPendingPhoto(services.db, form, stored, services.now().toISOString())
  return { key: stored.key, small: stored.small, width, height }
}

/** The uploaded photos of a form; missing ones are left out. */
export async function pendingPhotos(
  { db }: Pick<Services, 'db'>,
  form: FormOfShop,
  refs: PhotoRef[],
): Promise<(Photo & { key: string })[]> {
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
