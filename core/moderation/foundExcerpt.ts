import { searchPlaces } from './searchWords'

const BEFORE = 30
const LENGTH = 110

/** The part of a text around the first word that a search found; its beginning if the word is elsewhere. */
export function foundExcerpt(text: string, typed: string): string {
  const plain = text.replace(/\s+/g, ' ').trim()
  const at = searchPlaces(plain, typed)[0]?.start ?? 0
  const wordStart = at <= BEFORE ? 0 : plain.indexOf(' ', at - BEFORE) + 1
  const start = wordStart > at ? at : wordStart
  const end = start + LENGTH
  return `${start > 0 ? '… ' : ''}${plain.slice(start, end).trimEnd()}${end < plain.length ? '…' : ''}`
}
