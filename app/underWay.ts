/** A reload on a dead line holds up no redirect for longer. */
const PATIENCE_MS = 5000

let acting = 0
let reloads = 0
let reload: Promise<unknown> = Promise.resolve()

/** Whether an action or a reload waits for the server, known at once, while the router's own state follows with a render. */
export const isUnderWay = (): boolean => acting + reloads > 0

/** Notes that the page's data are loaded again. */
export function noteReload(loaded: Promise<unknown>): void {
  reloads++
  reload = loaded.catch(() => undefined).finally(() => reloads--)
}

/**
 * Does an action. Its redirect waits for a reload that is in flight: the router does not end it, and when it came last,
 * the page from before was shown again, and the next key decided on it once more.
 */
export async function asActionUnderWay<T>(action: () => Promise<T>): Promise<T> {
  acting++
  try {
    return await action()
  } catch (redirect) {
    if (redirect instanceof Response)
      await Promise.race([reload, new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))])
    throw redirect
  } finally {
    // The router begins to follow a redirect only after this.
    setTimeout(() => acting--)
  }
}
