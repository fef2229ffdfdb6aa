import i18next, { type FormatterModule } from 'i18next'
import type { Values } from './typedKeys'

const numbersOf = (language: string): FormatterModule => {
  let number: Intl.NumberFormat | undefined
  return {
    type: 'formatter',
    init: () => undefined,
    format: (value: unknown) =>
      typeof value === 'number' ? (number ??= new Intl.NumberFormat(language)).format(value) : String(value),
    add: () => undefined,
    addCached: () => undefined,
  }
}

/** Cast it to `Translate` of a catalogue, which knows its keys and parameters. */
export type UntypedTranslate = (key: string, values?: Partial<Values>) => string

/**
 * A catalogue of one language, to which texts can be added. Values are inserted unchanged, numbers in the
 * notation of the language; `count` selects the plural form.
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

export function buildTranslate(language: string, messages: object): UntypedTranslate {
  const { add, translate } = buildCatalogue(language)
  add(messages)
  return translate
}
