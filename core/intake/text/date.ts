import type { Found } from './found'

const months: [string, number][] = [
  ['january|januar|janvier|enero|stycznia|styczeń|gennaio|januari|jan', 1],
  ['february|februar|février|fevrier|febrero|lutego|luty|febbraio|februari|feb|févr|fév', 2],
  ['march|märz|maerz|mars|marzo|marca|marzec|maart|mar|mär|mrt', 3],
  ['april|avril|abril|kwietnia|kwiecień|aprile|apr|avr|abr', 4],
  ['may|mai|mayo|maja|maj|maggio|mei', 5],
  ['june|juni|juin|junio|czerwca|czerwiec|giugno|jun', 6],
  ['july|juli|juillet|julio|lipca|lipiec|luglio|jul|juil', 7],
  ['august|août|aout|agosto|sierpnia|sierpień|augustus|aug|ago', 8],
  ['september|septembre|septiembre|września|wrzesień|settembre|sept|sep', 9],
  ['october|oktober|octobre|octubre|października|październik|ottobre|oct|okt', 10],
  ['november|novembre|noviembre|listopada|listopad|nov', 11],
  ['december|dezember|décembre|decembre|diciembre|grudnia|grudzień|dicembre|dec|dez|déc|dic', 12],
]
const monthOf = (name: string) =>
  months.find(([names]) => new RegExp(`^(?:${names})$`, 'iu').test(name))?.[1] ?? 0
const monthName = months.map(([names]) => names).join('|')
const time = String.raw`(?:[\s,T]+(?:at\s|um\s|à\s|a\slas\s|o\s)?(\d{1,2})[:.h](\d{2})(?::(\d{2}))?(?:\s*(am|pm))?)?`

interface Shape {
  pattern: RegExp
  /** Positions of year, month and day among the groups; those of the time follow. */
  order: [number, number, number]
}

const shapes: Shape[] = [
  { pattern: new RegExp(`(?<!\\d)(\\d{4})-(\\d{2})-(\\d{2})${time}`, 'giu'), order: [1, 2, 3] },
  {
    pattern: new RegExp(
      `(?<!\\d)(\\d{1,2})(?:st|nd|rd|th|\\.|º|er)?\\s+(?:of\\s+|de\\s+)?(${monthName})\\.?,?\\s+(?:de\\s+|del\\s+)?(\\d{4})${time}`,
      'giu',
    ),
    order: [3, 2, 1],
  },
  {
    pattern: new RegExp(
      `(?<!\\p{L})(${monthName})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?,?\\s+(\\d{4})${time}`,
      'giu',
    ),
    order: [3, 1, 2],
  },
  {
    pattern: new RegExp(`(?<![\\d.])(\\d{1,2})\\.(\\d{1,2})\\.(\\d{4}|\\d{2})(?!\\d)${time}`, 'giu'),
    order: [3, 2, 1],
  },
  {
    pattern: new RegExp(`(?<![\\d/])(\\d{1,2})\\/(\\d{1,2})\\/(\\d{4}|\\d{2})(?!\\d)${time}`, 'giu'),
    order: [3, 2, 1],
  },
]

/** Without a year. A capital tells the month from a word such as "may" or "mars". */
const yearless: { pattern: RegExp; day: number; month: number }[] = [
  {
    pattern: new RegExp(
      `(?<![\\d.:/-])(\\d{1,2})(?:st|nd|rd|th|\\.|º|er)?\\s+(?:of\\s+|de\\s+)?(${monthName})(?![\\p{L}\\d])`,
      'giu',
    ),
    day: 1,
    month: 2,
  },
  {
    pattern: new RegExp(`(?<!\\p{L})(${monthName})\\.?\\s+(\\d{1,2})(?:st|nd|rd|th)?(?![\\p{L}\\d:])`, 'giu'),
    day: 2,
    month: 1,
  },
]
const alsoWords = /^(?:may|mar|mars|mai|sep|set|dec|dic|jan|ago|jul|jun|out|apr|nov|feb|oct)$/u

/**
 * The first date in a text with its place, as an ISO date, with the time if given. The day comes before the
 * month if both orders are possible. A date without a year is `--MM-DD`.
 */
export function findDate(text: string): (Found & { iso: string }) | null {
  return /\d/.test(text) ? (findDateWithYear(text) ?? findDateWithoutYear(text)) : null
}

/** The latest such day up to today, or null if it is no day of a year. */
export function latestPast(monthAndDay: string, today: string): string | null {
  for (let year = Number(today.slice(0, 4)); year > Number(today.slice(0, 4)) - 5; year--) {
    const day = `${year}${monthAndDay.slice(1)}`
    const date = new Date(`${day}T00:00:00Z`)
    if (!Number.isNaN(date.getTime()) && date.toISOString().startsWith(day) && day <= today) return day
  }
  return null
}

function findDateWithoutYear(text: string): (Found & { iso: string }) | null {
  const all = yearless.flatMap(({ pattern, day, month }) =>
    [...text.matchAll(pattern)].flatMap((match) => {
      const number = monthOf(match[month]!)
      const isDay = Number(match[day]) >= 1 && Number(match[day]) <= 31
      if (!isDay || number === 0 || alsoWords.test(match[month]!)) return []
      const iso = `--${String(number).padStart(2, '0')}-${match[day]!.padStart(2, '0')}`
      return [{ start: match.index, end: match.index + match[0].length, iso }]
    }),
  )
  return all.sort((a, b) => a.start - b.start)[0] ?? null
}

function findDateWithYear(text: string): (Found & { iso: string }) | null {
  const all = shapes.flatMap(({ pattern, order }) =>
    [...text.matchAll(pattern)].flatMap((match) => {
      const iso = isoOf(match, order)
      return iso ? [{ start: match.index, end: match.index + match[0].length, iso }] : []
    }),
  )
  return all.sort((a, b) => a.start - b.start || b.end - a.end)[0] ?? null
}

function isoOf(match: RegExpMatchArray, [y, m, d]: [number, number, number]): string | null {
  const yearText = match[y]!
  const year = yearText.length === 2 ? 2000 + Number(yearText) : Number(yearText)
  let month = Number(match[m]) || monthOf(match[m]!)
  let day = Number(match[d])
  if (month > 12 && day <= 12 && /\//.test(match[0])) [month, day] = [day, month]
  const date = new Date(Date.UTC(year, month - 1, day))
  if (year < 1990 || year > 2100 || date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) return null
  return date.toISOString().slice(0, 10) + timeOf(match.slice(4))
}

function timeOf([hourText, minute, second, half]: (string | undefined)[]): string {
  if (hourText === undefined || minute === undefined) return ''
  let hour = Number(hourText)
  if (half?.toLowerCase() === 'pm' && hour < 12) hour += 12
  if (half?.toLowerCase() === 'am' && hour === 12) hour = 0
  if (hour > 23 || Number(minute) > 59) return ''
  return `T${String(hour).padStart(2, '0')}:${minute}${second ? `:${second}` : ''}`
}
