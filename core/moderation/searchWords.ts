import { normalizeText } from '../formats/normalizeText'
import { searchable } from '../formats/searchable'

/** Up to this number, the matches of a search are counted in each list. */
export const MOST_MATCHES = 100

/** A run of letters and digits with its place in UTF-16 units. */
const runs = /[\p{L}\p{M}\p{N}]+/gu

/** The words of a search, each as the tokens that the index has for it. */
const searchWords = (typed: string): string[][] =>
  (typed.match(runs) ?? []).map(tokensOf).filter((tokens) => tokens.length > 0)

const tokensOf = (run: string): string[] => searchable(run).split(' ').filter(Boolean)

/**
 * The search in the notation of FTS5: all words, each as a beginning; null if there is none. A single letter is a whole
 * word, as it begins too many.
 */
export function fullTextQuery(typed: string): string | null {
  const words = searchWords(typed)
  if (words.length === 0) return null
  return words.map((tokens) => `"${tokens.join(' ')}"${tokens.at(-1)!.length > 1 ? '*' : ''}`).join(' AND ')
}

/** The places of the search words in a text, as the index finds them. */
export function searchPlaces(text: string, typed: string): { start: number; end: number }[] {
  const words = searchWords(typed)
  return [...text.matchAll(runs)].flatMap((match) => placesIn(match[0], match.index, words))
}

function placesIn(run: string, at: number, words: string[][]): { start: number; end: number }[] {
  const [token, ...more] = tokensOf(run)
  if (token === undefined) return []
  if (more.length > 0)
    return words
      .flatMap((word) =>
        insideRun(run, word.join('')).map(({ start, end }) => ({ start: at + start, end: at + end })),
      )
      .slice(0, 1)
  const isFound = words.some((word) => word.length === 1 && begins(token, word[0]!))
  return isFound ? [{ start: at, end: at + run.length }] : []
}

const begins = (token: string, word: string): boolean =>
  word.length > 1 ? token.startsWith(word) : token === word

/** The first place of a word in a run without spaces. */
function insideRun(run: string, word: string): { start: number; end: number }[] {
  const starts: number[] = []
  let plain = ''
  let start = 0
  for (const letter of run) {
    const own = normalizeText(letter)
    for (let i = 0; i < own.length; i++) starts.push(start)
    plain += own
    start += letter.length
  }
  const found = plain.indexOf(word)
  return found < 0 ? [] : [{ start: starts[found]!, end: starts[found + word.length] ?? run.length }]
}
