/** Why a site could not be read. The catalogue has a sentence for each. */
export const refusalCodes = [
  'unknown',
  'gone',
  'signedOut',
  'keyMissing',
  'keyRefused',
  'tooMany',
  'broken',
  'unreadable',
  'incomplete',
  'endless',
  'fewer',
  'unreachable',
  'slow',
  'tooLarge',
  'complex',
  'private',
  'redirects',
  'closed',
  'noReviews',
  'columns',
] as const
export type RefusalCode = (typeof refusalCodes)[number]

export class OriginRefusal extends Error {
  constructor(
    readonly code: RefusalCode,
    /** Seconds that the site asks to wait; null if it doesn't say. */
    readonly retryAfter: number | null = null,
  ) {
    super(`the site could not be read: ${code}`)
  }
}

/** Those that only the owner can end. */
export const needsOwner = (code: RefusalCode): boolean =>
  code === 'keyMissing' || code === 'keyRefused' || code === 'fewer' || code === 'columns'
