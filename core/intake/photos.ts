import { z } from 'zod'
import { messageCode } from '../messages/code'

export const MOST_PHOTOS = 4
export const MOST_PHOTO_BYTES = 25_000_000
/** A phone's 48 are welcome, a bomb is not. */
export const MOST_PHOTO_PIXELS = 60_000_000
export const ALT_LIMIT = 200

/** Why a file can't be one of a review's photos. */
export const photoRefusals = [
  'empty',
  'large',
  'pixels',
  'drawing',
  'video',
  'other',
  'unreadable',
  'slow',
] as const
export type PhotoRefusal = (typeof photoRefusals)[number]

/** A photo that a form refers to by the key it was uploaded under, with what its writer says it shows. */
export interface PhotoRef {
  key: string
  alt: string
}

/** The field `media`: each a key, with a space and the words for those who can't see it behind it where there are any. */
export const photoRefs = z
  .array(
    z
      .string()
      .max(40 + ALT_LIMIT)
      .regex(/^[a-z0-9]{1,40}( |$)/, { error: messageCode('photo.error.key') }),
  )
  .max(MOST_PHOTOS, { error: messageCode('photo.error.many', { most: MOST_PHOTOS }) })
  .optional()
  .transform((refs) => (refs ?? []).map(readRef))

function readRef(ref: string): PhotoRef {
  const [key, ...alt] = ref.split(' ')
  return { key: key!, alt: alt.join(' ').trim() }
}

/** The other way round. */
export const writeRef = ({ key, alt }: PhotoRef): string => `${key} ${alt.replace(/\s+/g, ' ')}`.trim()

/** Why a file can't be taken, as a message code. */
export function refusalCode(refusal: PhotoRefusal): string {
  return messageCode(`photo.refused.${refusal}`, {
    megabytes: MOST_PHOTO_BYTES / 1_000_000,
    megapixels: MOST_PHOTO_PIXELS / 1_000_000,
  })
}
