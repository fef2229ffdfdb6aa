import type { z } from 'zod'
import { walkHtml } from '../site/walkHtml'
import type { OriginAnswer } from './originAdapter'
import { OriginRefusal } from './originRefusal'
import { MAX_BODY, MAX_NAME } from './limits'

const MAX_WAIT_SECONDS = 86_400

/** @throws OriginRefusal unless the answer is a success */
export function requireSuccess({ status, retryAfter }: OriginAnswer): void {
  if (status === 200) return
  if (status === 401) throw new OriginRefusal('keyMissing')
  if (status === 403) throw new OriginRefusal('keyRefused')
  if (status === 404) throw new OriginRefusal('unknown')
  if (status === 410) throw new OriginRefusal('gone')
  if (status === 429) throw new OriginRefusal('tooMany', secondsOf(retryAfter))
  throw new OriginRefusal('broken', secondsOf(retryAfter))
}

/** Only the form in seconds; a date depends on the clock of the site. */
function secondsOf(header: string | null): number | null {
  if (header === null || !/^\d{1,9}$/.test(header.trim())) return null
  return Math.min(Number(header), MAX_WAIT_SECONDS)
}

/**
 * The JSON of a successful answer.
 * @throws OriginRefusal if it is not JSON of that shape
 */
export function readJson<T extends z.ZodType>(answer: OriginAnswer, schema: T): z.infer<T> {
  requireSuccess(answer)
  return readAs(schema, parsed(answer.body))
}

export function readAs<T extends z.ZodType>(schema: T, value: unknown): z.infer<T> {
  const result = schema.safeParse(value)
  if (!result.success) throw new OriginRefusal('unreadable')
  return result.data
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new OriginRefusal('unreadable')
  }
}

interface StructuredPage {
  /** Its blocks of JSON-LD. */
  data: unknown[]
  /** The address of the following page. */
  next: string | null
  /** Whether it is a page for signing in. */
  asksToSignIn: boolean
  /** Whether it has been sent to its end. */
  isWhole: boolean
}

/** Reads the structured data of a page. @throws OriginRefusal if a block of it is no JSON */
export function readStructuredPage(answer: OriginAnswer): StructuredPage {
  requireSuccess(answer)
  const blocks: string[] = []
  let next: string | null = null
  let asksToSignIn = false
  let isData = false
  walkHtml(answer.body, {
    open: (name, attributes) => {
      isData = name === 'script' && attributes.type === 'application/ld+json'
      if (isData) blocks.push('')
      if ((name === 'a' || name === 'link') && attributes.rel === 'next') next = attributes.href ?? null
      if (name === 'input' && attributes.type === 'password') asksToSignIn = true
    },
    close: () => {
      isData = false
    },
    text: (text) => {
      if (isData) blocks.push((blocks.pop() ?? '') + text)
    },
  })
  return {
    data: asksToSignIn ? [] : blocks.map(parsed),
    next,
    asksToSignIn,
    isWhole: /<\/html>\s*$/i.test(answer.body),
  }
}

/** A number that may have a decimal comma; null if it is none between 0 and the scale. */
export function readAverage(value: unknown, scale: number): number | null {
  const number = typeof value === 'string' ? Number(value.trim().replace(',', '.')) : value
  return typeof number === 'number' && number > 0 && number <= scale ? number : null
}

/** A whole number of at least 0; null if it is none. */
export function readCount(value: unknown): number | null {
  const number = typeof value === 'string' ? Number(value) : value
  return typeof number === 'number' && Number.isInteger(number) && number >= 0 ? number : null
}

/** One line without control characters, cut at a length. */
export function readLine(value: unknown, max = MAX_NAME): string {
  if (typeof value !== 'string') return ''
  const line = value
    .slice(0, 4 * max)
    .replace(/[\p{Cc}\u2028\u2029\u202a-\u202e\u2066-\u2069]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
  return line.length > max ? `${line.slice(0, max - 1).trimEnd()}…` : line
}

/** Text as it came, cut at a length. */
export const readText = (value: unknown): string =>
  typeof value === 'string' ? value.slice(0, MAX_BODY).trim() : ''

/** An http or https address on the site itself; null for others. */
export function readOwnUrl(value: unknown, home: string): string | null {
  if (typeof value !== 'string' || value.length > 2000 || !URL.canParse(value, `${home}/`)) return null
  const url = new URL(value, `${home}/`)
  return url.origin === new URL(home).origin ? url.href : null
}

/** An ISO date or moment; null for anything else. */
export function readMoment(value: unknown): string | null {
  if (typeof value !== 'string' || !/^\d{4}-\d{2}-\d{2}(T[\d:.]+(Z|[+-]\d{2}:\d{2}))?$/.test(value))
    return null
  const time = Date.parse(value)
  if (Number.isNaN(time)) return null
  return value.length === 10 ? value : new Date(time).toISOString()
}
