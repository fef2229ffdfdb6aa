import { LRUCache } from 'lru-cache'
import { isOwnPage } from '../../core/site/ownPage'
import { findDisplay, shopOfLiveDisplay } from '../data/displays'
import { noteSeen, pagesSeen, pagesThatMisfit, wasSeen, type PageSeen } from '../data/displaySeen'
import { findShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'

const MAX_PAGE_LENGTH = 500
/** The minimum time between two notes of the same page. */
const AGAIN_AFTER_MS = 10_000
const MAX_REMEMBERED = 5000
const MAX_SHOWN = 20

/** A display may be this much taller than reserved, or shorter: heights are reserved in steps of widths. In CSS pixels. */
const MAX_MISSING = 40
const MAX_SPARE = 200

/**
 * Receives reports that a page shows a display: its address and, on a second line, by how many pixels the display is
 * taller than its code reserves. Nothing about the visitor is stored.
 * @param mayAdd asked before a page is noted that was not known
 */
export function buildSeen(services: Services) {
  const { db, now, changes } = services
  const lately = new LRUCache<string, number>({ max: MAX_REMEMBERED })
  return async (key: string, report: string, mayAdd: () => Promise<boolean>): Promise<void> => {
    const [address = '', missing] = report.split('\n', 2)
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
    const seen = {
      shopId: shop.id,
      displayId: display.id,
      page,
      at: at.toISOString(),
      fits: fitsReserved(missing),
    }
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

/** The addresses of the shop's own pages whose embed code is out of date, with the display. */
export async function outdatedPages({ db }: Services, shop: Shop): Promise<{ page: string; key: string }[]> {
  return (await pagesThatMisfit(db, shop.id)).filter(({ page }) => isOwnPage(page, shop))
}

/** Whether the reserved height fits; null if the report says nothing about it. */
function fitsReserved(missing: string | undefined): boolean | null {
  if (missing === undefined || !/^-?\d{1,6}$/.test(missing)) return null
  return Number(missing) <= MAX_MISSING && -Number(missing) <= MAX_SPARE
}

/** Origin and path of a page, without anything about its visitor; null if it is no page. */
function pageAddress(address: string): string | null {
  if (address.length > MAX_PAGE_LENGTH || !URL.canParse(address)) return null
  const { protocol, origin, pathname } = new URL(address)
  return protocol === 'http:' || protocol === 'https:' ? origin + pathname : null
}
