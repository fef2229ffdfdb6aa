import type { IncomingMessage } from 'node:http'
import { MOST_PHOTO_BYTES } from '../../core/intake/photos'

/** The limits on requests to an address. */
export interface BodyLimits {
  maxBytes: number
  /** Forms are parsed; other bodies are passed on. */
  kind: 'form' | 'bytes'
}

const multipart = /^multipart\/form-data/i
/** More than any form without files can contain. */
const form: BodyLimits = { maxBytes: 512 * 1024, kind: 'form' }

const limitsByAddress: [path: RegExp, type: RegExp, limits: BodyLimits][] = [
  [/^\/s\/[^/]+\/gather\/orders\/piece(?:\?|$)/, /./, { maxBytes: 4_100_000, kind: 'bytes' }],
  [/^\/s\/[^/]+\/gather\/orders(?:\.data)?(?:\?|$)/, multipart, { maxBytes: 21_000_000, kind: 'form' }],
  // Evidence for a review that the shop adds.
  [
    /^\/s\/[^/]+\/(?:gather\/write|decide\/[^/]+\/correct)(?:\.data)?(?:\?|$)/,
    multipart,
    { maxBytes: 31_000_000, kind: 'form' },
  ],
  // Photos arrive one by one before the form, or all with it if no script ran.
  [
    /^\/(?:f|s\/[^/]+\/gather\/forms)\/[^/]+\/photo(?:\?|$)/,
    /./,
    { maxBytes: MOST_PHOTO_BYTES, kind: 'bytes' },
  ],
  [/^\/(?:f|s\/[^/]+\/gather\/forms)\/[^/]+\/video(?:\?|$)/, /./, { maxBytes: 4_100_000, kind: 'bytes' }],
  [/^\/(?:f|r)\/[^/]+(?:\/frame)?(?:\.data)?(?:\?|$)/, multipart, { maxBytes: 60_000_000, kind: 'form' }],
]

export function bodyLimitsOf({ url = '', headers }: Pick<IncomingMessage, 'url' | 'headers'>): BodyLimits {
  const type = headers['content-type'] ?? 'none'
  return limitsByAddress.find(([path, ofType]) => path.test(url) && ofType.test(type))?.[2] ?? form
}
