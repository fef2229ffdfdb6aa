import i18next, { type FormatterModule } from 'i18next'
import type { Values } from './typedKeys'

const numbersOf = (language: string): FormatterModule => {
  const number = new Intl.NumberFormat(language)
  return {
    type: 'formatter',
    init: () => undefined,
    format: (value: unknown) => (typeof value === 'number' ? number.format(value) : String(value)),
    add: () => undefined,
    addCached: () => undefined,
  }
}

/** For `Translate` of a catalogue, which knows its keys and their parameters. */
export type UntypedTranslate = (key: string, values?: Partial<Values>) => string

/**
 * The texts of one language, to which more can be added. Places are filled as they are, numbers as the language writes
 * them; plural forms are chosen by `count`.
 * @param language a BCP 47 tag
 */
export function buildCatalogue(language: string): {
  add: (messages: object) => void
  translate: UntypedTranslate
} {
  const instance = i18next.createInstance()
  void instance.use(numbersOf(language)).init({
    lng: language,
    resources: { [language]: { translation: {} } },
    initAsync: false,
    returnNull: false,
    interpolation: { escapeValue: false, alwaysFormat: true },
  })
  return {
    add: (messages) => instance.addResourceBundle(language, 'translation', messages, true, true),
    translate: (key, values = {}) => instance.t(key, { ...values }),
  }
}

/** Translates the keys of one catalogue. */
export function buildTranslate(language: string, messages: object): UntypedTranslate {
  const { add, translate } = buildCatalogue(language)
  add(messages)
  return translate
}
