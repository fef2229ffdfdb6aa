import { dateFormat } from '../formats/dates'

/** A stored answer to a question as people read it: a date in words, several choices in one line. */
export function answerText(value: string, locale: string): string {
  if (/^\d{4}-\d\d-\d\d$/.test(value))
    return dateFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(value))
  return /^[1-9]\d?\/\d+$/.test(value) ? value.replace('/', ' / ') : value
}
