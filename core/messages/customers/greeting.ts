import type { CustomerTranslate } from './customerMessages'

/** Longer than nearly all names, too short for a message. */
const MAX_NAME_LENGTH = 40
const MAX_NAME_PARTS = 4
/** Letters, joined by hyphens and apostrophes; a full stop only after an initial or title, before a space. */
const namePart = /^\p{L}[\p{L}\p{M}]*(?:['’-]\p{L}[\p{L}\p{M}]*)*$/u
const abbreviation = /^\p{L}[\p{L}\p{M}]{0,3}\.$/u

/**
 * The greeting of an email to a typed address. A stranger may have typed it, so a name that could contain a
 * message or web address is left out.
 */
export function greeting(translate: CustomerTranslate, name: string): string {
  const parts = name.trim().split(/\s+/u)
  const isName =
    name.length <= MAX_NAME_LENGTH &&
    parts.length <= MAX_NAME_PARTS &&
    parts.every((part) => namePart.test(part) || abbreviation.test(part)) &&
    parts.some((part) => namePart.test(part))
  return isName ? translate('email.hello', { name: parts.join(' ') }) : translate('email.helloNobody')
}
