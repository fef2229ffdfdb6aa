import { MOST_SHOWN } from '../curation/selectionOrders'
import { customerLanguage } from '../messages/customers/languages'
import type { Asked } from './displayModel'
import { MAX_PAGED } from './paging'

const SKU_LIMIT = 100

/** In an address, `?origin=own` stands for the reviews that came to the shop itself. */
export const OWN_REVIEWS = 'own'

/** The attributes of the embed code; invalid values are ignored. */
export function readAsked(query: URLSearchParams): Asked {
  const product = query.get('product')?.trim()
  const limit = /^\d{1,3}$/.test(query.get('limit') ?? '') ? Number(query.get('limit')) : 0
  const page = /^\d{1,3}$/.test(query.get('page') ?? '') ? Number(query.get('page')) : 1
  const language = customerLanguage(query.get('lang') ?? '')
  const scheme = query.get('theme')
  const origin = /^[a-z]{1,40}$/.exec(query.get('origin') ?? '')?.[0]
  return {
    ...(product && product.length <= SKU_LIMIT && { product }),
    ...(limit >= 1 && { limit: Math.min(limit, MOST_SHOWN) }),
    ...(page > 1 && page <= MAX_PAGED && { page }),
    ...(language && { language }),
    ...(origin && { origin }),
    ...((scheme === 'light' || scheme === 'dark') && { scheme }),
  }
}
