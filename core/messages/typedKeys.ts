/* The keys and parameters of a catalogue as types, so that the type check finds missing ones. */

/** A plural has the texts `key_one` and `key_other`; its key has neither ending. */
type PluralKey<Stem extends string = string> = `${Stem}_one` | `${Stem}_other`

type Entry<T, Prefix extends string = ''> = {
  [K in keyof T & string]: T[K] extends string
    ? K extends PluralKey<infer Stem>
      ? [`${Prefix}${Stem}`, T[K] | '{{count}}']
      : [`${Prefix}${K}`, T[K]]
    : Entry<T[K], `${Prefix}${K}.`>
}[keyof T & string]

/** The texts of a catalogue by their dotted keys (`form.error.name`). */
export type TextsByKey<T> = {
  [E in Entry<T> as E extends [infer Key extends string, string] ? Key : never]: E extends [
    string,
    infer Text,
  ]
    ? Text
    : never
}

/** The parameters of a text: `{{name}}`. */
type Places<Text> = Text extends `${string}{{${infer Name}}}${infer Rest}` ? Name | Places<Rest> : never

export type Values<Place extends string = string> = Record<Place, string | number> & {
  /** Replaces the displayed value of `count`, which selects the plural. */
  replace?: Record<string, string>
}

export type Translate<Texts> = <K extends keyof Texts & string>(
  key: K,
  ...values: [Places<Texts[K]>] extends [never]
    ? [values?: Values<never>]
    : [values: Values<Places<Texts[K]>>]
) => string
