import { z } from 'zod'
import { messageCode } from '../messages/code'

export const MOST_PHOTOS = 4
export const MOST_PHOTO_BYTES = 25_000_000
/**
 * The most pixels of a photo: each takes at most about two seconds to read. A photo as phones take it is read row by
 * row, so that the 48 megapixels of a phone are welcome.
 */
export const MOST_PIXELS = { photo: 60_000_000, progressive: 30_000_000, other: 24_000_000, avif: 18_000_000 }
export const ALT_LIMIT = 200

/** Why a file is refused as a photo. */
const photoRefusals = ['empty', 'large', 'pixels', 'drawing', 'video', 'other', 'unreadable', 'slow'] as const
export type PhotoRefusal = (typeof photoRefusals)[number]

/** A photo by the key of its upload, with a description. */
export interface PhotoRef {
  key: string
  alt: string
}

/** The field `media`: a key, optionally followed by a space and a description. */
export const photoRefsUpTo = (most: number) =>
  z
    .array(
      z
        .string()
        .max(40 + ALT_LIMIT)
        .regex(/^[a-z0-9]{1,40}( |$)/, { error: messageCode('photo.error.key') }),
    )
    .max(most, { error: messageCode('photo.error.many', { most }) })
    .optional()
    .transform((refs) => (refs ?? []).map(readRef))
export const photoRefs = photoRefsUpTo(MOST_PHOTOS)

function readRef(ref: string): PhotoRef {
  const [key, ...alt] = ref.split(' ')
  return { key: key!, alt: alt.join(' ').trim() }
}

/** The inverse. */
export const writeRef = ({ key, alt }: PhotoRef): string => `${key} ${alt.replace(/\s+/g, ' ')}`.trim()

/** The message code of a refusal. */
export function refusalCode(refusal: PhotoRefusal): string {
  return messageCode(`photo.refused.${refusal}`, {
    megabytes: MOST_PHOTO_BYTES / 1_000_000,
    megapixels: Math.min(...Object.values(MOST_PIXELS)) / 1_000_000,
  })
}

/** What is full when a photo or video is refused for want of room. */
export const noRoomCode = (full: 'network' | 'form' | 'disk'): string =>
  messageCode(`photo.error.full.${full}`)
