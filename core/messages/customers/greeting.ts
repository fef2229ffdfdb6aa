import type { CustomerTranslate } from './customerMessages'

/** Longer than nearly every name, and too short for a message. */
const MAX_NAME_LENGTH = 40
const MAX_NAME_PARTS = 4
/** Letters, with hyphens and apostrophes between them; a full stop only after an initial or a title, before a space. */
const namePart = /^\p{L}[\p{L}\p{M}]*(?:['’-]\p{L}[\p{L}\p{M}]*)*$/u
const abbreviation = /^\p{L}[\p{L}\p{M}]{0,3}\.$/u

/**
 * The greeting of an email to an address that somebody typed. Whoever typed it may be a stranger, so a name that could
 * carry a message or a web address is left out.
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
