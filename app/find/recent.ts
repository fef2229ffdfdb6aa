export interface Recent {
  /** A path of the application. */
  to: string
  title: string
}

const MOST = 6

const PREFIX = 'elogio.found.'

/** What was found lately in this browser, latest first. */
export function recentlyFound(shop: string): Recent[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(PREFIX + shop) ?? '[]')
    return Array.isArray(stored) ? stored.filter(isRecent) : []
  } catch {
    return []
  }
}

export function keepFound(shop: string, found: Recent): void {
  const others = recentlyFound(shop).filter(({ to }) => to !== found.to)
  try {
    localStorage.setItem(PREFIX + shop, JSON.stringify([found, ...others].slice(0, MOST)))
  } catch {
    // Without storage nothing is remembered.
  }
}

/** The names of customers do not stay in the browser of somebody who signed out: asked by the page to sign in. */
export function forgetFound(): void {
  try {
    for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key)
  } catch {
    // Without storage nothing was remembered.
  }
}

// Zod would be loaded with every page.
function isRecent(stored: unknown): stored is Recent {
  if (typeof stored !== 'object' || stored === null) return false
  const { to, title } = stored as Partial<Record<keyof Recent, unknown>>
  return typeof to === 'string' && /^\/[^/]/.test(to) && typeof title === 'string'
}
