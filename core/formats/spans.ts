/** A span of days that people ask for by name. */
export interface Span {
  name: 'lastWeek' | 'lastThirty' | 'lastMonth' | 'thisYear'
  /** `YYYY-MM-DD`; the span goes on without an end. */
  from: string
  to: string | undefined
}

const DAY_MS = 86_400_000

/** @param today `YYYY-MM-DD` */
export function spansUntil(today: string): Span[] {
  const at = new Date(today)
  const [year, month] = [at.getUTCFullYear(), at.getUTCMonth()]
  const iso = (date: Date) => date.toISOString().slice(0, 10)
  const daysAgo = (days: number) => iso(new Date(at.getTime() - days * DAY_MS))
  return [
    { name: 'lastWeek', from: daysAgo(6), to: undefined },
    { name: 'lastThirty', from: daysAgo(29), to: undefined },
    {
      name: 'lastMonth',
      from: iso(new Date(Date.UTC(year, month - 1, 1))),
      to: iso(new Date(Date.UTC(year, month, 0))),
    },
    { name: 'thisYear', from: `${year}-01-01`, to: undefined },
  ]
}
