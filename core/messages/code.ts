import type { English } from './say/everything'
import type { TextsByKey, Translate } from './typedKeys'
import type { UntypedTranslate } from './translate'

/* A message whose language is not known yet: its key and values in one string. */

const coded = /^[a-z]\w*(?:\.\w+)+(?:\?|$)/i

/**
 * The code of a message: `form.error.long?limit=120`. Schemas and rows contain codes; a catalogue has their
 * texts.
 */
export const messageCode: Translate<TextsByKey<English>> = (key, ...[values]) => {
  const query = new URLSearchParams(
    Object.entries(values ?? {}).map(([name, value]) => [name, String(value)]),
  )
  return query.size > 0 ? `${key}?${query}` : key
}

/**
 * Translates a code. The value `problem` can be another code. Other text was stored as a sentence and stays
 * as it is.
 */
export function translateCode(translate: unknown, code: string): string {
  if (!coded.test(code)) return code
  const [key, query] = code.split('?', 2) as [string, string | undefined]
  const wordValue = (name: string, value: string): string | number => {
    if (name === 'problem') return translateCode(translate, value)
    return isNumber(value) ? Number(value) : value
  }
  const values = Object.fromEntries(
    [...new URLSearchParams(query)].map(([name, value]) => [name, wordValue(name, value)]),
  )
  return (translate as UntypedTranslate)(key, values)
}

/** Translates codes, one a line. */
export function translateCodes(translate: unknown, codes: string): string {
  const lines = codes.split('\n')
  if (!coded.test(lines[0]!)) return codes
  return lines.map((code) => translateCode(translate, code)).join('; ')
}

const isNumber = (text: string) => /^-?\d{1,15}(?:\.\d+)?$/.test(text) && String(Number(text)) === text
