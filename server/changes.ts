/** Notifies listeners of changes to a shop, within this process. */
export interface Changes {
  announce: (shopId: number) => void
  /** Returns a function that stops listening. */
  listen: (shopId: number, heard: () => void) => () => void
}

export function buildChanges(): Changes {
  const listeners = new Map<number, Set<() => void>>()
  return {
    announce: (shopId) => listeners.get(shopId)?.forEach((heard) => heard()),
    listen: (shopId, heard) => {
      const ofShop = listeners.get(shopId) ?? new Set()
      listeners.set(shopId, ofShop.add(heard))
      return () => {
        ofShop.delete(heard)
        if (ofShop.size === 0) listeners.delete(shopId)
      }
    },
  }
}
