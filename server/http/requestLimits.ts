import type { IncomingMessage } from 'node:http'
import { MOST_PHOTO_BYTES } from '../../core/intake/photos'

/** The limits on requests to an address. */
interface BodyLimits {
  maxBytes: number
  /** Forms are parsed; other bodies are passed on. */
  kind: 'form' | 'bytes'
  /** The longest text of a field, in bytes of UTF-8. */
  maxFieldBytes: number
}

const multipart = /^multipart\/form-data/i
/** More than any form without files can contain. */
const form: Omit<BodyLimits, 'maxFieldBytes'> = { maxBytes: 512 * 1024, kind: 'form' }

/** Members paste pages and design displays; everybody else fills in fields of at most 3,000 characters. */
const MEMBERS = /^\/s\//
const MAX_FIELD_BYTES_OF_STRANGERS = 32 * 1024

const limitsByAddress: [path: RegExp, type: RegExp, limits: Omit<BodyLimits, 'maxFieldBytes'>][] = [
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
  const limits = limitsByAddress.find(([path, ofType]) => path.test(url) && ofType.test(type))?.[2] ?? form
  return { ...limits, maxFieldBytes: MEMBERS.test(url) ? limits.maxBytes : MAX_FIELD_BYTES_OF_STRANGERS }
}
