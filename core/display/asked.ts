import { MOST_SHOWN } from '../curation/selectionOrders'
import { customerLanguage } from '../messages/customers/languages'
import type { Asked } from './displayModel'

const SKU_LIMIT = 100

/** The attributes of the embed code; invalid values are ignored. */
export function readAsked(query: URLSearchParams): Asked {
  const product = query.get('product')?.trim()
  const limit = /^\d{1,3}$/.test(query.get('limit') ?? '') ? Number(query.get('limit')) : 0
  const language = customerLanguage(query.get('lang') ?? '')
  const scheme = query.get('theme')
  return {
    ...(product && product.length <= SKU_LIMIT && { product }),
    ...(limit >= 1 && { limit: Math.min(limit, MOST_SHOWN) }),
    ...(language && { language }),
    ...((scheme === 'light' || scheme === 'dark') && { scheme }),
  }
}
