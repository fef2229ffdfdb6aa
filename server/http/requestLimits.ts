import type { IncomingMessage } from 'node:http'
import { MOST_PHOTO_BYTES } from '../../core/intake/photos'

/** What may come with a request to an address. */
export interface BodyLimits {
  maxBytes: number
  /** A form is parsed here; the bytes of anything else are passed on as they are. */
  kind: 'form' | 'bytes'
}

const multipart = /^multipart\/form-data/i
/** More than any form here can hold, except those that take files. */
const form: BodyLimits = { maxBytes: 512 * 1024, kind: 'form' }

const limitsByAddress: [path: RegExp, type: RegExp, limits: BodyLimits][] = [
  [/^\/s\/[^/]+\/gather\/orders\/piece(?:\?|$)/, /./, { maxBytes: 4_100_000, kind: 'bytes' }],
  [/^\/s\/[^/]+\/gather\/orders(?:\.data)?(?:\?|$)/, multipart, { maxBytes: 21_000_000, kind: 'form' }],
  // One photo ahead of its form, and all of them with it where no script made them smaller.
  [/^\/f\/[^/]+\/photo(?:\?|$)/, /./, { maxBytes: MOST_PHOTO_BYTES, kind: 'bytes' }],
  [/^\/(?:f|r)\/[^/]+(?:\.data)?(?:\?|$)/, multipart, { maxBytes: 60_000_000, kind: 'form' }],
]

export function bodyLimitsOf({ url = '', headers }: Pick<IncomingMessage, 'url' | 'headers'>): BodyLimits {
  const type = headers['content-type'] ?? 'none'
  return limitsByAddress.find(([path, ofType]) => path.test(url) && ofType.test(type))?.[2] ?? form
}
