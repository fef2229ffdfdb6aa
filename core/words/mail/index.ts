import i18next from 'i18next'
import { de } from './de'
import { en, type MailWords } from './en'
import { es } from './es'
import { fr } from './fr'
import { it } from './it'

const catalogues: Record<string, MailWords> = { en, de, fr, es, it }
export type MailLanguage = 'en' | 'de' | 'fr' | 'es' | 'it'

/** The language a customer is written to in: that of her words, else the shop's, else English. */
export function mailLanguage(wordsLanguage: string | null, shopLocale: string): MailLanguage {
  const known = [wordsLanguage, shopLocale.slice(0, 2)].find((language) => language && language in catalogues)
  return (known ?? 'en') as MailLanguage
}

const texts = i18next.createInstance()
void texts.init({
  fallbackLng: 'en',
  resources: Object.fromEntries(
    Object.entries(catalogues).map(([language, words]) => [language, { translation: words }]),
  ),
  initAsync: false,
  interpolation: { escapeValue: false },
})

/** Mail texts of a language, with `{{name}}` places filled. */
export function mailWords(language: MailLanguage) {
  return (key: keyof MailWords, values: Record<string, string | number> = {}): string =>
    texts.t(key, { ...values, lng: language })
}
