const iso =
  /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?)?$/iu
const dayFirst = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})(?:,?\s+(\d{1,2}):(\d{2})(?::(\d{2}))?)?$/u

/**
 * A date in a table cell as ISO 8601: a day, or a UTC time if a time is given (UTC if it has no zone). In
 * numeric dates the day comes before the month if both orders are possible. Null if it is no date.
 */
export function dayFirstDate(cell: string): string | null {
  const typed = cell.trim()
  const isoMatch = iso.exec(typed)
  if (isoMatch) {
    const [, year, month, day, hour, minute, second, zone] = isoMatch
    return momentOf([year, month, day], [hour, minute, second], zone)
  }
  const match = dayFirst.exec(typed)
  if (!match) return null
  const [, first, second, year, ...time] = match
  const swapped = Number(second) > 12 && typed.includes('/')
  return momentOf(swapped ? [year, first, second] : [year, second, first], time, undefined)
}

function momentOf(
  day: (string | undefined)[],
  time: (string | undefined)[],
  zone: string | undefined,
): string | null {
  const [year, month, date] = day.map(Number) as [number, number, number]
  const start = new Date(Date.UTC(year, month - 1, date))
  if (start.getUTCMonth() !== month - 1 || start.getUTCDate() !== date) return null
  const text = start.toISOString().slice(0, 10)
  if (time[0] === undefined) return text
  const clock = [0, 1, 2].map((i) => (time[i] ?? '00').padStart(2, '0')).join(':')
  const moment = new Date(
    `${text}T${clock}${(zone ?? 'Z').replace(/^([+-]\d{2}):?(\d{2})$/, '$1:$2').toUpperCase()}`,
  )
  return Number.isNaN(moment.getTime()) ? null : moment.toISOString()
}
