import { buildTranslate } from '../translate'
import type { CustomerMessages, CustomerTranslate } from './customerMessages'
import { de } from './de'
import { en } from './en'
import { es } from './es'
import { fr } from './fr'
import { it } from './it'
import type { CustomerLanguage } from './languages'

/* All languages, for the server. Browsers get the texts of one language with the page. */

const catalogues: Record<CustomerLanguage, CustomerMessages> = { en, de, fr, es, it }

export const customerMessages = (language: CustomerLanguage): CustomerMessages => catalogues[language]

const translators = new Map<CustomerLanguage, CustomerTranslate>()

export function customerTranslate(language: CustomerLanguage): CustomerTranslate {
  let translate = translators.get(language)
  if (!translate) {
    translate = buildTranslate(language, catalogues[language]) as CustomerTranslate
    translators.set(language, translate)
  }
  return translate
}
