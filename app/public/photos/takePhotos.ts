import type { AppLoadContext } from 'react-router'
import { MOST_PHOTOS, noRoomCode, photoRefs, refusalCode, type PhotoRef } from '../../../core/intake/photos'
import { limitKeyOf } from '../../../core/formats/ipAddress'
import { messageCode } from '../../../core/messages/code'
import { storageFaultIn } from '../../storageProblem'
import type { KeptPhoto } from './usePhotos'

/** The result for the photos of a form. */
interface TakenPhotos {
  /** The form with keys in place of files. */
  form: FormData
  /** The stored photos, for showing the form again. */
  photos: KeptPhoto[]
  problems: string[]
}

/** The problems of refused photos. */
export const mediaErrors = (problems: string[]) =>
  problems.length > 0 ? { fieldErrors: { media: problems } } : undefined

/**
 * Stores the files of a form that was sent without scripts, and looks up uploaded ones.
 * @param owner the form; null if no photo can be added
 * @param kept photos of the review so far
 * @param opening whether files are read at all; not for a client that sends too much
 */
export async function takePhotos(
  form: FormData,
  { elogio, throttle, clientAddress }: Pick<AppLoadContext, 'elogio' | 'throttle' | 'clientAddress'>,
  owner: { id: number; shopId: number } | null,
  { kept = [], opening = true }: { kept?: KeptPhoto[]; opening?: boolean } = {},
): Promise<TakenPhotos> {
  const problems: string[] = []
  const values: string[] = []
  const given = form.getAll('media')
  // No more files are read than can be stored.
  if (given.length > MOST_PHOTOS) problems.push(messageCode('photo.error.many', { most: MOST_PHOTOS }))
  for (const value of given.slice(0, MOST_PHOTOS)) {
    if (typeof value === 'string') values.push(value)
    else if (owner && opening && (value.size > 0 || value.name !== '')) {
      const stored = await storeFile(owner, value)
      if ('key' in stored) values.push(stored.key)
      else
        problems.push(
          value.name ? messageCode('photo.error.named', { name: value.name, ...stored }) : stored.problem,
        )
    }
  }
  form.delete('media')
  for (const value of values) form.append('media', value)
  const refs = photoRefs.safeParse(values)
  const photos = refs.success ? await photosOf(refs.data) : []
  return { form, photos, problems }

  async function storeFile(form: { id: number; shopId: number }, file: File) {
    if ((await throttle.photo(clientAddress)) !== null) return { problem: messageCode('photo.error.wait') }
    try {
      const bytes = Buffer.from(await file.arrayBuffer())
      const stored = await elogio.storePendingPhoto(form, bytes, limitKeyOf(clientAddress))
      if ('key' in stored) return stored
      return { problem: 'full' in stored ? noRoomCode(stored.full) : refusalCode(stored.refused) }
    } catch (error) {
      if (!storageFaultIn(error)) throw error
      return { problem: messageCode('problem.notSaved') }
    }
  }

  async function photosOf(wanted: PhotoRef[]): Promise<KeptPhoto[]> {
    const stored = owner ? await elogio.shownPending(owner, wanted) : []
    return wanted.flatMap(({ key, alt }) => {
      const photo = kept.find((one) => one.key === key) ?? stored.find((one) => one.key === key)
      return photo ? [{ key, shown: photo.shown, alt }] : []
    })
  }
}
