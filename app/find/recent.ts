import { z } from 'zod'

const MOST = 6
const stored = z.array(z.object({ to: z.string().startsWith('/'), title: z.string() })).catch([])
export type Recent = z.output<typeof stored>[number]

const PREFIX = 'elogio.found.'

/** What was found lately in this browser, latest first. */
export function recentlyFound(shop: string): Recent[] {
  try {
    return stored.parse(JSON.parse(localStorage.getItem(PREFIX + shop) ?? '[]'))
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

/** The names of customers do not stay in the browser of somebody who signs out. */
export function forgetFound(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key)
}
