import type { IncomingMessage } from 'node:http'
import { customerLanguages, type CustomerLanguage } from '../../core/messages/customers/languages'
import { readerLanguage } from '../../core/messages/customers/readerLanguage'

const customerPath = /^\/(?:api\/)?(?:f|r|confirm|how|d)\//

/** The language of an answer to a customer where no shop is known; null for members. */
export function customerRequestLanguage({
  url = '/',
  headers,
}: Pick<IncomingMessage, 'url' | 'headers'>): CustomerLanguage | null {
  if (!customerPath.test(url)) return null
  const asked = new URLSearchParams(url.split('?')[1]).get('lang')
  return readerLanguage(asked, headers['accept-language'] ?? null, {
    allowed: customerLanguages,
    locale: 'en',
  })
}
