/** Visitors wait no longer than this for queries of others, plus one query. */
const MOST_MS = 8

/** When this turn of the event loop began to work; null before its first query. */
let begun: number | null = null

/**
 * Lets input and timers have their turn if queries have kept the event loop busy. The driver is synchronous, so that
 * without it the queries of many requests run in one turn: promises are settled before anything else happens.
 */
export function yieldToInput(): Promise<void> | undefined {
  if (begun === null) {
    begun = performance.now()
    setImmediate(() => {
      begun = null
    })
    return undefined
  }
  if (performance.now() - begun < MOST_MS) return undefined
  return new Promise((resolve) => {
    setImmediate(resolve)
  })
}
