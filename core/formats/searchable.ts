import { normalizeText } from './normalizeText'

/** A letter of a script that puts no spaces between words. */
const unspaced =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/gu

/** A text as the full-text index holds it: normalized, and each letter of scripts without spaces as a word. */
export const searchable = (text: string): string => normalizeText(text).replace(unspaced, ' $& ')
