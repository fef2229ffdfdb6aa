import type { Server, ServerResponse } from 'node:http'
import { setTimeout as pause } from 'node:timers/promises'

/** Connections and requests that the system has taken and this process has not seen yet would be cut off, so it looks for them. */
const QUIET_MS = 100
const MAX_ACCEPTING_MS = 2000

/** The requests that are being answered, so that the server can stop without cutting one off. */
export interface OpenRequests {
  begin: (res: ServerResponse) => void
  end: (res: ServerResponse) => void
  /**
   * Takes no more connections, and resolves when every request that came has been answered.
   * @param withinMs after which what is left is cut off
   */
  close: (withinMs: number) => Promise<void>
}

export function buildOpenRequests(server: Server): OpenRequests {
  const open = new Set<ServerResponse>()
  let closing = false
  /** How many connections and requests have come. */
  let come = 0
  server.on('connection', () => come++)
  return {
    begin(res) {
      if (closing) res.shouldKeepAlive = false
      open.add(res)
      come++
    },
    end: (res) => open.delete(res),
    async close(withinMs) {
      closing = true
      let seen = -1
      for (let waited = 0; seen !== come && waited < MAX_ACCEPTING_MS; waited += QUIET_MS) {
        seen = come
        await pause(QUIET_MS)
      }
      const closed = new Promise<void>((resolve) => server.close(() => resolve()))
      for (const res of open) res.shouldKeepAlive = false
      server.closeIdleConnections()
      const late = setTimeout(() => server.closeAllConnections(), withinMs)
      await closed
      clearTimeout(late)
    },
  }
}
