import { z } from 'zod'

const MOST_CHARACTERS = 400_000

/** A small picture as a data URL; may be empty. */
export const pictureAddress = z
  .string()
  .max(MOST_CHARACTERS)
  .regex(/^(|data:image\/(webp|png|jpeg|svg\+xml);base64,[A-Za-z0-9+/=]+)$/)
  .default('')

/** The name of a stored picture. */
export const keptFile = z.string().regex(/^[0-9a-f]{32}\.webp$/)

/** The address of a stored picture that stays as it is. */
export const keptPicture = z.string().regex(/^\/media\/[0-9a-f]{32}\.webp$/)
