import { francAll } from 'franc'

const known: Record<string, string> = {
  eng: 'en',
  deu: 'de',
  spa: 'es',
  fra: 'fr',
  pol: 'pl',
  ita: 'it',
  nld: 'nl',
  por: 'pt',
  swe: 'sv',
}

/** The minimum length in UTF-16 units. */
const ENOUGH = 40

/** The minimum distance to the second best guess, on franc's scale from 0 to 1. */
const CLEAR_BY = 0.08

/** The language of a text as a BCP 47 tag; null if it is too short or unclear. */
export function languageOf(text: string): string | null {
  if (text.trim().length < ENOUGH) return null
  const [best, second] = francAll(text, { only: Object.keys(known) })
  if (!best || (second && best[1] - second[1] < CLEAR_BY)) return null
  return known[best[0]] ?? null
}
