import i18next, { type TOptions } from 'i18next'
import { en } from './en'

type Leaf<T, Prefix extends string = ''> = {
  [K in keyof T & string]: T[K] extends string ? `${Prefix}${Bare<K>}` : Leaf<T[K], `${Prefix}${K}.`>
}[keyof T & string]
type Bare<K extends string> = K extends `${infer Stem}_one` | `${infer Stem}_other` ? Stem : K

/** A key of the message catalogue; plural keys are named without their `_one` and `_other`. */
export type WordsKey = Leaf<typeof en>

const catalogue = i18next.createInstance()
void catalogue.init({
  lng: 'en',
  resources: { en: { translation: en } },
  initAsync: false,
  interpolation: { escapeValue: false },
  returnNull: false,
})

/** The words for a key, in the interface's language, with `{{name}}` places filled and plurals chosen by `count`. */
export function say(key: WordsKey, values: TOptions = {}): string {
  return catalogue.t(key, values) as string
}

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
