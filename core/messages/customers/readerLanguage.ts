import Negotiator from 'negotiator'
import { customerLanguage, customerLanguages, type CustomerLanguage } from './languages'

/**
 * The language of a customer's page: that of its address, otherwise the browser's, otherwise the shop's,
 * within the languages that the shop allows.
 * @param asked a language tag of the address, or null
 * @param accepted the `Accept-Language` header, or null
 */
export function readerLanguage(
  asked: string | null,
  accepted: string | null,
  { allowed, locale }: { allowed: readonly string[]; locale: string },
): CustomerLanguage {
  const offered = customerLanguages.filter((language) => allowed.includes(language))
  const own = customerLanguage(locale)
  const fallback = own && offered.includes(own) ? own : (offered[0] ?? 'en')
  const wanted = customerLanguage(asked ?? '')
  if (wanted && offered.includes(wanted)) return wanted
  const [preferred] = new Negotiator({ headers: { 'accept-language': accepted ?? '' } }).languages([
    fallback,
    ...offered,
  ])
  return customerLanguage(preferred ?? '') ?? fallback
}
