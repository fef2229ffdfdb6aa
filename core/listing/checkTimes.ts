import type { RefusalCode } from './originRefusal'
import { needsOwner } from './originRefusal'

const MINUTE_MS = 60_000
const HOUR_MS = 60 * MINUTE_MS
const DAY_MS = 24 * HOUR_MS

const FIRST_WAIT_MS = 2 * MINUTE_MS
const LONGEST_WAIT_MS = 6 * HOUR_MS

/** Complete reads find what was withdrawn; in between only the newest reviews are read. */
export const COMPLETE_EVERY_MS = 12 * HOUR_MS

/**
 * Milliseconds until the next check after a good one: four times the usual for listings without news for a
 * week, twelve times after a month.
 * @param usualMinutes how often the site is checked
 * @param spread 0 to 1, the same for the same listing, so that checks are spread out
 */
export function nextCheckMs(quietMs: number, usualMinutes: number, spread: number): number {
  const factor = quietMs > 30 * DAY_MS ? 12 : quietMs > 7 * DAY_MS ? 4 : 1
  return Math.round(usualMinutes * MINUTE_MS * factor * (0.9 + 0.2 * spread))
}

/**
 * Milliseconds until the next try after a refusal; null if only the owner can help.
 * @param failures in a row, including this one
 * @param retryAfter seconds that the site asks for; null if it doesn't say
 */
export function nextTryMs(
  code: RefusalCode,
  { failures, retryAfter, spread }: { failures: number; retryAfter: number | null; spread: number },
): number | null {
  if (code !== 'fewer' && needsOwner(code)) return null
  if (code === 'gone' || code === 'unknown') return DAY_MS
  const growing = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** Math.min(failures - 1, 20))
  const asked = retryAfter === null ? 0 : retryAfter * 1000
  // A site that says when is asked then, unless it says so again and again.
  const wait = retryAfter !== null && failures === 1 ? asked : Math.max(asked, growing)
  return Math.round(wait + spread * FIRST_WAIT_MS)
}

/** A number from 0 to 1 that only depends on the id. */
export function spreadOf(publicId: string): number {
  let hash = 0
  for (const letter of publicId) hash = (Math.imul(hash, 31) + letter.charCodeAt(0)) >>> 0
  return (hash % 1000) / 1000
}
