import { createHash } from 'node:crypto'

/** A strong entity tag, computed from the bytes. */
export function strongEtag(body: string | Buffer): string {
  return `"${createHash('sha256').update(body).digest('base64url').slice(0, 22)}"`
}
