import type { Photo } from '../../core/intake/candidate'
import type { PhotoRef, PhotoRefusal } from '../../core/intake/photos'
import { findStaged, insertStaged, type StagedPhoto } from '../data/photos'
import type { Services } from '../services'
import { keepFile } from './keepFile'
import { makePhoto } from './photo'

/** What a form that is not sent yet knows of a photo. */
export interface Staged {
  key: string
  small: string
  width: number
  height: number
}

interface FormOfShop {
  id: number
  shopId: number
}

/** Keeps a photo before its form is sent, so that a mistake in the form loses none. */
export async function stagePhoto(
  services: Services,
  form: FormOfShop,
  bytes: Buffer,
): Promise<Staged | { refused: PhotoRefusal }> {
  const made = await makePhoto(bytes)
  if ('refused' in made) return made
  const { width, height } = made.large.info
  const staged: StagedPhoto = {
    key: services.newId(),
    name: await keepFile(services, form.shopId, made.large),
    small: await keepFile(services, form.shopId, made.small),
    width,
    height,
  }
  await insertStaged(services.db, form, staged, services.now().toISOString())
  return { key: staged.key, small: staged.small, width, height }
}

/** What is known of photos that were staged for a form; those that are gone are left out. */
export async function stagedPhotos(
  { db }: Pick<Services, 'db'>,
  form: FormOfShop,
  refs: PhotoRef[],
): Promise<(Photo & { key: string })[]> {
  const found = await findStaged(
    db,
    form.id,
    refs.map(({ key }) => key),
  )
  return refs.flatMap(({ key, alt }) => {
    const photo = found.find((one) => one.key === key)
    return photo ? [{ ...photo, alt }] : []
  })
}
