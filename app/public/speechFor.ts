import { customerMessages } from '../../core/messages/customers'
import { customerLanguage, customerLanguages } from '../../core/messages/customers/languages'
import { readerLanguage } from '../../core/messages/customers/readerLanguage'
import type { ProblemSpeech, Speech } from './speech'

/** For an address without a shop. */
const anyShop = { customerLanguages, locale: 'en' }

/** The language and texts for a request to a shop's page. */
export function speechFor(
  request: Request,
  shop: { customerLanguages: readonly string[]; locale: string } = anyShop,
): Speech {
  const asked = new URL(request.url).searchParams.get('lang')
  const language = readerLanguage(asked, request.headers.get('Accept-Language'), {
    allowed: shop.customerLanguages,
    locale: shop.locale,
  })
  return { language, messages: customerMessages(language) }
}

const customerPath = /^\/(?:f|r|confirm|how)\//

/** The texts of problems on a customer's page, where the shop may be unknown; null for other pages. */
export function problemSpeechFor(request: Request): ProblemSpeech | null {
  if (!customerPath.test(new URL(request.url).pathname)) return null
  const { language, messages } = speechFor(request)
  return { language, messages: { problem: messages.problem, confirm: messages.confirm } }
}

/** Adds the requested `?lang=` to an address. */
export function withLanguage(address: string, request: Request): string {
  const language = customerLanguage(new URL(request.url).searchParams.get('lang') ?? '')
  if (!language) return address
  return `${address}${address.includes('?') ? '&' : '?'}lang=${language}`
}
