/** What a change is about: reviews and their counts, or anything else of a shop. */
export type ChangeTopic = 'reviews' | 'shop'

/** Notifies listeners of changes to a shop, within this process. */
export interface Changes {
  /** @param by the browser tab that made the change and knows it already */
  announce: (shopId: number, topic?: ChangeTopic, by?: string) => void
  /**
   * Calls back after a change, for several changes perhaps once.
   * @returns a function that stops listening
   */
  listen: (shopId: number, heard: () => void, hearing?: Partial<Hearing>) => () => void
}

/** Each listener loads its page again, so that many at once would hold up everybody. */
interface Spread {
  /** So many are called at once. */
  burst: number
  /** The time between two of the others, in milliseconds. */
  spacingMs: number
}

const usualSpread: Spread = { burst: 10, spacingMs: 100 }

/** What a listener does not hear of. */
export interface Hearing {
  /** Changes that do not matter to it. */
  without: ChangeTopic | null
  /** Changes by this browser tab; empty for none. */
  tab: string
}

interface Listener extends Hearing {
  heard: () => void
}

/** The listeners of a shop, and those that are called later, in the order of their changes. */
interface ShopListeners {
  all: Set<Listener>
  waiting: Set<Listener>
  /** How many can be called now. */
  room: number
  timer: NodeJS.Timeout | null
}

export function buildChanges({ burst, spacingMs }: Spread = usualSpread): Changes {
  const shops = new Map<number, ShopListeners>()

  function callWaiting(shop: ShopListeners): void {
    for (const listener of shop.waiting) {
      if (shop.room === 0) break
      shop.room--
      shop.waiting.delete(listener)
      listener.heard()
    }
    if (shop.room < burst) shop.timer ??= setInterval(() => refill(shop), spacingMs).unref()
  }

  function refill(shop: ShopListeners): void {
    shop.room++
    callWaiting(shop)
    if (shop.room < burst || !shop.timer) return
    clearInterval(shop.timer)
    shop.timer = null
  }

  return {
    announce: (shopId, topic = 'shop', by = '') => {
      const shop = shops.get(shopId)
      if (!shop) return
      for (const listener of shop.all)
        if (listener.without !== topic && (by === '' || listener.tab !== by)) shop.waiting.add(listener)
      callWaiting(shop)
    },
    listen: (shopId, heard, { without = null, tab = '' } = {}) => {
      const shop = shops.get(shopId) ?? { all: new Set(), waiting: new Set(), room: burst, timer: null }
      shops.set(shopId, shop)
      const listener = { heard, without, tab }
      shop.all.add(listener)
      return () => {
        shop.all.delete(listener)
        shop.waiting.delete(listener)
        if (shop.all.size > 0) return
        if (shop.timer) clearInterval(shop.timer)
        if (shops.get(shopId) === shop) shops.delete(shopId)
      }
    },
  }
}
