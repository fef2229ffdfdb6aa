import { z } from 'zod'

const MOST_CHARACTERS = 400_000

/** A small picture as a data URL; may be empty. */
export const pictureAddress = z
  .string()
  .max(MOST_CHARACTERS)
  .regex(/^(|data:image\/(webp|png|jpeg|svg\+xml);base64,[A-Za-z0-9+/=]+)$/)
  .default('')
