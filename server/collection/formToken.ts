import { createHash, createHmac, timingSafeEqual } from 'node:crypto'

/** After this time a form is accepted, but the review is held back. */
const GOOD_FOR_MS = 7 * 86_400_000

/** A token for one form, with the time of issue. */
export function issueFormToken(key: Buffer, formPublicId: string, nonce: string, now: Date): string {
  const stamp = `${now.getTime().toString(36)}.${nonce}`
  return `${stamp}.${signature(key, formPublicId, stamp)}`
}

/** Seconds since the token was issued; null if it is missing, altered, too old or for another form. */
export function readFormToken(key: Buffer, formPublicId: string, token: string, now: Date): number | null {
  const [issued, nonce, signed] = token.split('.')
  if (!issued || !nonce || !signed) return null
  const expected = Buffer.from(signature(key, formPublicId, `${issued}.${nonce}`))
  const given = Buffer.from(signed)
  if (given.length !== expected.length || !timingSafeEqual(given, expected)) return null
  const age = now.getTime() - parseInt(issued, 36)
  return age >= 0 && age <= GOOD_FOR_MS ? age / 1000 : null
}

function signature(key: Buffer, formPublicId: string, stamp: string): string {
  return createHmac('sha256', key).update(`form.${formPublicId}.${stamp}`).digest('base64url')
}

/** The stored form of a token, which can't be sent. */
export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
