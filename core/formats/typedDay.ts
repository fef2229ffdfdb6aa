const dayFirst = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/

/** A day that was typed, the day first or as ISO 8601, as `YYYY-MM-DD`. Null if it is none. */
export function typedDay(typed: string): string | null {
  const [, day = '', month = '', year] = dayFirst.exec(typed.trim()) ?? []
  const iso = year ? `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}` : typed.trim()
  const at = /^\d{4}-\d\d-\d\d$/.test(iso) ? new Date(iso) : null
  return at && !isNaN(Number(at)) && at.toISOString().startsWith(iso) ? iso : null
}
