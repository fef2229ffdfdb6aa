import { TZDate } from '@date-fns/tz'
import { format } from 'date-fns'
import { de } from 'date-fns/locale/de'
import { enGB } from 'date-fns/locale/en-GB'
import { enUS } from 'date-fns/locale/en-US'
import { es } from 'date-fns/locale/es'
import { fr } from 'date-fns/locale/fr'
import { it } from 'date-fns/locale/it'

const locales = { de, en: enGB, 'en-US': enUS, es, fr, it }

/** Patterns that show only a day: of years, months, days and weekdays, and plain characters. */
const allowed = /^(?:[yMLdEQ]|'[^']*'|[\s.,/()\-–·|])*$/

/**
 * A day in a pattern of Unicode TR 35, such as `d MMM yyyy`. Null if the pattern asks for anything but a day.
 * @param moment UTC in ISO 8601
 */
export function dateInPattern(
  moment: string,
  pattern: string,
  { timeZone, locale }: { timeZone: string; locale: string },
): string | null {
  if (!pattern.trim() || !allowed.test(pattern)) return null
  const language = locale.slice(0, 2)
  const chosen = locales[(locale in locales ? locale : language) as keyof typeof locales] ?? locales.en
  try {
    return format(new TZDate(moment, timeZone), pattern, { locale: chosen })
  } catch (error) {
    if (error instanceof RangeError) return null
    throw error
  }
}
