import { TZDate } from '@date-fns/tz'

/* Dates for people. Times are UTC in ISO 8601; a "day" is one in the shop's time zone. */

const DAY_MS = 86_400_000

const formats = new Map<string, Intl.DateTimeFormat>()

/** Creating a formatter takes as long as using it a hundred times. */
export function dateFormat(locale: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${locale} ${JSON.stringify(options)}`
  const format = formats.get(key) ?? new Intl.DateTimeFormat(locale, options)
  formats.set(key, format)
  return format
}

/** The calendar day (`YYYY-MM-DD`) of a time in a time zone. */
export function dayIn(timeZone: string, moment: string): string {
  return dateFormat('en-CA', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(new Date(moment))
}

function daysBetween(earlier: string, later: string): number {
  return Math.round((Date.parse(later) - Date.parse(earlier)) / DAY_MS)
}

const hasTwelveHours = (locale: string): boolean =>
  dateFormat(locale, { hour: 'numeric' }).resolvedOptions().hour12 === true

/** "today 09:14", a weekday for the last six days, otherwise "3 May 2026". */
export function spokenMoment(
  moment: string,
  {
    now,
    timeZone,
    locale: shopLocale,
    today,
  }: { now: string; timeZone: string; locale: string; today: string },
): string {
  const date = new Date(moment)
  // Plain English names no country; its day comes first and its clock has 24 hours, as in the shop's own words.
  const locale = shopLocale === 'en' ? 'en-GB' : shopLocale
  const age = daysBetween(dayIn(timeZone, moment), dayIn(timeZone, now))
  if (age === 0) {
    const hour = hasTwelveHours(locale) ? 'numeric' : '2-digit'
    const time = dateFormat(locale, { timeZone, hour, minute: '2-digit' }).format(date)
    return `${today} ${time}`
  }
  if (age > 0 && age < 7) return dateFormat(locale, { timeZone, weekday: 'long' }).format(date)
  return dateFormat(locale, { timeZone, day: 'numeric', month: 'long', year: 'numeric' }).format(date)
}

/** "March 2026" for this year and the last, otherwise only the year. */
export function spokenMonth(
  moment: string,
  { now, timeZone, locale }: { now: string; timeZone: string; locale: string },
): string {
  const year = Number(dayIn(timeZone, moment).slice(0, 4))
  const thisYear = Number(dayIn(timeZone, now).slice(0, 4))
  if (year < thisYear - 1) return String(year)
  return dateFormat(locale, { timeZone, month: 'long', year: 'numeric' }).format(new Date(moment))
}

/** Whole days between two times; 0 if less than a day or in the future. */
export function wholeDays(from: string, to: string): number {
  return Math.max(0, Math.floor((Date.parse(to) - Date.parse(from)) / DAY_MS))
}

/**
 * The start of a calendar day in a time zone, as UTC in ISO 8601.
 * @param day `YYYY-MM-DD`
 * @param plus days to add
 */
export function startOfDay(timeZone: string, day: string, plus = 0): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  return new Date(new TZDate(year, month - 1, date + plus, timeZone).getTime()).toISOString()
}
