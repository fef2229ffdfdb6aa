import { TZDate } from '@date-fns/tz'
import { dayFirstDate } from '../../formats/dayFirstDate'
import { findDate } from '../../intake/text/date'
import { findRating } from '../../intake/text/rating'
import type { SheetScale } from '../matching'

/**
 * A rating in a cell: "4", "4,5", "4/5", "★★★★", "8 of 10", "80 %". A plain number is on the scale of the
 * sheet. Null if it is none.
 */
export function readRatingCell(cell: string, scale: SheetScale): { value: number; scale: number } | null {
  const typed = cell.trim()
  const plain = /^(\d{1,3}(?:[.,]\d{1,2})?)\s*(%?)$/.exec(typed)
  if (plain) {
    const value = Number(plain[1]!.replace(',', '.'))
    const on = plain[2] ? 100 : scale
    return value > 0 && value <= on ? { value, scale: on } : null
  }
  if (typed === '' || typed.length > 60) return null
  // "five" and "2½" are ratings in a column of ratings.
  const halves = typed.replace(/(\d)\s*½/, '$1.5')
  const found = findRating(halves) ?? findRating(`${halves} stars`) ?? halfMore(halves)
  return found && found.rating.given > 0 ? { value: found.rating.given, scale: found.rating.scale } : null
}

/** "two and a half" */
function halfMore(typed: string): ReturnType<typeof findRating> {
  const whole = /^(.+?)\s+and\s+a\s+half\b/i.exec(typed)?.[1]
  const found = whole ? findRating(`${whole} stars`) : null
  return found && { ...found, rating: { ...found.rating, given: found.rating.given + 0.5 } }
}

const numeric = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4}|\d{2})(.*)$/s
const clock = /^,?\s*(\d{1,2}):(\d{2})(?::(\d{2}))?\s*(am|pm)?$/i

/**
 * A date in a cell as ISO 8601: a day, or a UTC time if the cell has a time of day, which is one of the time
 * zone unless the cell names another. Null if it is none.
 */
export function readDateCell(
  cell: string,
  { isDayFirst, timeZone }: { isDayFirst: boolean; timeZone: string },
): string | null {
  const typed = cell.trim().slice(0, 60)
  if (/(?:Z|[+-]\d{2}:?\d{2})$/i.test(typed)) return dayFirstDate(typed)
  const local = localDate(typed, isDayFirst)
  if (local === null) return null
  if (local.length === 10) return local
  const [year, month, day, hour, minute, second] = local.split(/\D/).map(Number) as number[]
  return new Date(
    new TZDate(year!, month! - 1, day!, hour!, minute!, second ?? 0, timeZone).getTime(),
  ).toISOString()
}

/** `YYYY-MM-DD`, or with a time `YYYY-MM-DDTHH:MM:SS`. */
function localDate(typed: string, isDayFirst: boolean): string | null {
  const match = numeric.exec(typed)
  if (!match) {
    const iso = /^(\d{4}-\d{2}-\d{2})(?:[T ](.*))?$/s.exec(typed)
    if (iso) return withClock(iso[1]!, iso[2] ?? '')
    const found = findDate(typed)
    return found && !found.iso.startsWith('--') ? found.iso : null
  }
  const [, first, separator, second, year, rest] = match
  const dayIsFirst = separator === '/' || separator === '-' ? isDayFirst : true
  const [day, month] = dayIsFirst ? [first!, second!] : [second!, first!]
  const fullYear = year!.length === 2 ? `20${year}` : year!
  return withClock(`${fullYear}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`, rest!)
}

function withClock(day: string, rest: string): string | null {
  const date = new Date(`${day}T00:00:00Z`)
  if (Number.isNaN(date.getTime()) || !date.toISOString().startsWith(day)) return null
  if (rest.trim() === '') return day
  const match = clock.exec(rest)
  if (!match) return null
  const [, hourText, minute, second = '00', half] = match
  const hour = (Number(hourText) % (half ? 12 : 24)) + (half?.toLowerCase() === 'pm' ? 12 : 0)
  return Number(minute) < 60 && Number(second) < 60
    ? `${day}T${String(hour).padStart(2, '0')}:${minute}:${second}`
    : null
}

/**
 * Whether the day comes before the month in a column of numeric dates with slashes or hyphens; null if every
 * date can be read either way.
 */
export function isDayFirstIn(cells: string[]): boolean | null {
  for (const cell of cells) {
    const match = numeric.exec(cell.trim().slice(0, 60))
    if (!match || match[2] === '.') continue
    if (Number(match[1]) > 12) return true
    if (Number(match[3]) > 12) return false
  }
  return null
}
