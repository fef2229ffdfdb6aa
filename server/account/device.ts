import { createHmac, timingSafeEqual } from 'node:crypto'
import type { Services } from '../services'

/** Marks a device that a member has signed in from, in a cookie. */
export function nameDevice(
  { signingKey, newId }: Pick<Services, 'signingKey' | 'newId'>,
  email: string,
): string {
  const id = newId()
  return `${id}.${signatureOf(signingKey, email, id)}`
}

/** The id of a known device; null if the cookie is missing or forged. */
export function knownDevice(
  { signingKey }: Pick<Services, 'signingKey'>,
  email: string,
  name: string,
): string | null {
  const [id, signed] = name.split('.', 2)
  if (!id || !signed) return null
  const [expected, given] = [Buffer.from(signatureOf(signingKey, email, id)), Buffer.from(signed)]
  return expected.length === given.length && timingSafeEqual(expected, given) ? id : null
}

function signatureOf(key: Buffer, email: string, id: string): string {
  return createHmac('sha256', key).update(`device.${email.trim().toLowerCase()}.${id}`).digest('base64url')
}
