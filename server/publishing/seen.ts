import { LRUCache } from 'lru-cache'
import { isOwnPage } from '../../core/site/ownPage'
import { findDisplay, shopOfLiveDisplay } from '../data/displays'
import { noteSeen, pagesSeen, wasSeen, type PageSeen } from '../data/displaySeen'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'

const MAX_PAGE_LENGTH = 500
/** The minimum time between two notes of the same page. */
const AGAIN_AFTER_MS = 10_000
const MAX_REMEMBERED = 5000
const MAX_SHOWN = 20

/**
 * Receives reports that a page shows a display. Nothing about the visitor is stored.
 * @param mayAdd asked before a page is noted that was not known
 */
export function buildSeen(services: Services) {
  const { db, now, changes } = services
  const lately = new LRUCache<string, number>({ max: MAX_REMEMBERED })
  return async (key: string, address: string, mayAdd: () => Promise<boolean>): Promise<void> => {
    const page = pageAddress(address)
    if (page === null) return
    const name = `${key} ${page}`
    const at = now()
    if (Math.abs(at.getTime() - (lately.get(name) ?? 0)) < AGAIN_AFTER_MS) return
    const shopId = await shopOfLiveDisplay(db, key)
    const display = shopId === null ? null : await findDisplay(db, shopId, { key })
    if (!display) return
    lately.set(name, at.getTime())
    if (!(await wasSeen(db, display.id, page)) && !(await mayAdd())) return
    const shop = await findShop(db, display.shopId)
    const seen = { shopId: shop.id, displayId: display.id, page, at: at.toISOString() }
    const isNew = await writing(db, (trx) => noteSeen(trx, seen, (other) => isOwnPage(other, shop)))
    if (isNew) changes.announce(shop.id)
  }
}

/** The pages of a display: those of the shop's own site first, then the latest. */
export async function pagesOfDisplay({ db }: Services, shop: Shop, displayId: number): Promise<PageSeen[]> {
  const pages = await pagesSeen(db, shop.id, displayId)
  const own = pages.filter(({ page }) => isOwnPage(page, shop))
  return [...own, ...pages.filter((one) => !own.includes(one))].slice(0, MAX_SHOWN)
}

/** Origin and path of a page, without anything about its visitor; null if it is no page. */
function pageAddress(address: string): string | null {
  if (address.length > MAX_PAGE_LENGTH || !URL.canParse(address)) return null
  const { protocol, origin, pathname } = new URL(address)
  return protocol === 'http:' || protocol === 'https:' ? origin + pathname : null
}
