import { buildTranslate } from '../translate'
import type { CustomerMessages, CustomerTranslate } from './customerMessages'
import de from './de.json'
import { en } from './en'
import es from './es.json'
import fr from './fr.json'
import it from './it.json'
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
