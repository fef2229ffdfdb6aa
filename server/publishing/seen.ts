import { findDisplay, shopOfLiveDisplay } from '../data/displays'
import { keepSeen } from '../data/displaySeen'
import { writing } from '../data/writing'
import type { Services } from '../services'

const PAGE_LIMIT = 500
/** One page of one display is written down no more often than this. */
const AGAIN_AFTER_MS = 10_000
const MOST_REMEMBERED = 5000

/** Hears from visitors' pages that a display stands there now. Nothing about the visitor is kept. */
export function buildSeen(services: Services) {
  const { db, now, changes } = services
  const lately = new Map<string, number>()
  return async (key: string, told: string): Promise<void> => {
    const page = pageAddress(told)
    if (page === null) return
    const name = `${key} ${page}`
    const at = now()
    if (at.getTime() - (lately.get(name) ?? 0) < AGAIN_AFTER_MS) return
    lately.set(name, at.getTime())
    if (lately.size > MOST_REMEMBERED) lately.delete(lately.keys().next().value!)
    const shopId = await shopOfLiveDisplay(db, key)
    const display = shopId === null ? null : await findDisplay(db, shopId, { key })
    if (!display) return
    await writing(db, (trx) =>
      keepSeen(trx, { shopId: display.shopId, displayId: display.id, page, at: at.toISOString() }),
    )
    changes.announce(display.shopId)
  }
}

/** Origin and path of a page, without what may tell of its visitor; null for what is no page. */
function pageAddress(told: string): string | null {
  if (told.length > PAGE_LIMIT || !URL.canParse(told)) return null
  const { protocol, origin, pathname } = new URL(told)
  return protocol === 'http:' || protocol === 'https:' ? origin + pathname : null
}
