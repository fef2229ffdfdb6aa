import type { TextsByKey, Translate } from '../typedKeys'
import type { en } from './en'

type Strings<T> = { [K in keyof T]: T[K] extends string ? string : Strings<T[K]> }

/** The texts of one language: the same keys in each. */
export type CustomerMessages = Strings<typeof en>

export type CustomerKey = keyof TextsByKey<typeof en>
export type CustomerTranslate<Part extends keyof typeof en = keyof typeof en> = Translate<
  TextsByKey<Pick<typeof en, Part>>
>
