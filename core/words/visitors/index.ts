import i18next, { type TOptions } from 'i18next'
import type { VisitorCatalogue } from './catalogue'
import { de } from './de'
import { en } from './en'
import { es } from './es'
import { fr } from './fr'
import { it } from './it'

type Bare<K extends string> = K extends `${infer Stem}_one` | `${infer Stem}_other` ? Stem : K
export type VisitorWordsKey = Bare<keyof typeof en>

/** Says what visitors read, in one language. */
export type VisitorWords = (key: VisitorWordsKey, values?: TOptions) => string

const catalogues: Record<string, VisitorCatalogue> = { en, de, fr, es, it }
export const visitorLanguages = Object.keys(catalogues)

const instance = i18next.createInstance()
void instance.init({
  lng: 'en',
  resources: Object.fromEntries(
    Object.entries(catalogues).map(([language, translation]) => [language, { translation }]),
  ),
  initAsync: false,
  interpolation: { escapeValue: false },
})

/** The language of a tag (`de-AT`) that displays speak, or null when they do not. */
export function visitorLanguage(tag: string): string | null {
  const language = tag.trim().toLowerCase().split('-')[0]!
  return language in catalogues ? language : null
}

export function visitorWords(language: string): VisitorWords {
  return (key, values = {}) => instance.t(key, { ...values, lng: language }) as string
}
