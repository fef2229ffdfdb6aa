import { normalizeText } from '../formats/normalizeText'

/** Up to this number, the matches of a search are counted in each list. */
export const MOST_MATCHES = 100

/** A run of letters and digits with its place in UTF-16 units. */
const runs = /[\p{L}\p{M}\p{N}]+/gu

/** The normalized words of a search. The last one can be incomplete. */
export function searchWords(typed: string): string[] {
  return (typed.match(runs) ?? []).map(normalizeText)
}

/** The search in the notation of FTS5: all words, the last as a prefix; null if there is none. */
export function fullTextQuery(typed: string): string | null {
  const words = searchWords(typed)
  if (words.length === 0) return null
  return words.map((word, i) => `"${word}"${i === words.length - 1 ? '*' : ''}`).join(' AND ')
}

/** The places of the search words in a text, as the index finds them. */
export function searchPlaces(text: string, typed: string): { start: number; end: number }[] {
  const words = searchWords(typed)
  const last = words.at(-1)
  if (last === undefined) return []
  return [...text.matchAll(runs)]
    .filter(([run]) => {
      const folded = normalizeText(run)
      return words.includes(folded) || folded.startsWith(last)
    })
    .map((match) => ({ start: match.index, end: match.index + match[0].length }))
}
