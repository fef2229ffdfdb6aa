import { createHash } from 'node:crypto'

/** A strong entity tag: the same for the same bytes and for no others. */
export function strongEtag(body: string | Buffer): string {
  return `"${createHash('sha256').update(body).digest('base64url').slice(0, 22)}"`
}
