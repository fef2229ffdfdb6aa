import { en as customerTexts } from './customers/en'
import { ownerTexts } from './en'
import { buildTranslate } from './translate'
import type { TextsByKey, Translate } from './typedKeys'

const english = { ...ownerTexts, ...customerTexts } as const
export type English = typeof english

/** A key of the English catalogue. */
export type MessageKey = keyof TextsByKey<English>

/** Says something to the people of a shop, in English. What customers read is translated by `customerTranslate`. */
export const say: Translate<TextsByKey<English>> = buildTranslate('en', english)

const spelt = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine']

/** A count as a sentence spells it: words up to nine, digits from ten. */
export function countWord(count: number): string {
  return spelt[count] ?? String(count)
}

/** The same, where the sentence begins with it. */
export function countWordFirst(count: number): string {
  const word = countWord(count)
  return word.charAt(0).toUpperCase() + word.slice(1)
}
