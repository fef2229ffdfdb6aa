import { z } from 'zod'

const MOST_CHARACTERS = 400_000

/** A small picture as a data address, as the browser's part of a form makes it; empty for none. */
export const pictureAddress = z
  .string()
  .max(MOST_CHARACTERS)
  .regex(/^(|data:image\/(webp|png|jpeg|svg\+xml);base64,[A-Za-z0-9+/=]+)$/)
  .default('')
