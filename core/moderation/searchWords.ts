import { normalizeText } from '../formats/normalizeText'

/** A run of letters and digits in a text, with its place in UTF-16 units. */
const runs = /[\p{L}\p{M}\p{N}]+/gu

/** The words of a search, folded. The last may be the beginning of one, since it is still being typed. */
export function searchWords(typed: string): string[] {
  return (typed.match(runs) ?? []).map(normalizeText)
}

/** The words of a search for a full-text index in FTS5's notation: all of them, the last as a beginning; null for none. */
export function fullTextQuery(typed: string): string | null {
  const words = searchWords(typed)
  if (words.length === 0) return null
  return words.map((word, i) => `"${word}"${i === words.length - 1 ? '*' : ''}`).join(' AND ')
}

/** Where a text has the words of a search: the same way as the index finds them. */
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
