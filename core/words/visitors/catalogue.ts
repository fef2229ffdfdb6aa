import type { en } from './en'

/** The same keys in every language. */
export type VisitorCatalogue = Record<keyof typeof en, string>
