import type { Server, ServerResponse } from 'node:http'
import { setImmediate as nextTurn, setTimeout as pause } from 'node:timers/promises'

/**
 * Connections and requests can wait in the system without being seen by this process yet, so it checks for
 * them before it closes.
 */
const QUIET_MS = 100
const MAX_ACCEPTING_MS = 2000
const TURNS_TO_READ = 3

/** Pending requests, so that stopping interrupts none. */
export interface OpenRequests {
  begin: (res: ServerResponse) => void
  end: (res: ServerResponse) => void
  /**
   * Accepts no more connections and resolves when all requests are answered.
   * @param withinMs the time after which open connections are closed
   */
  close: (withinMs: number) => Promise<void>
}

export function buildOpenRequests(server: Server): OpenRequests {
  const open = new Set<ServerResponse>()
  let closing = false
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
        // After a long computation the timer is due before the network was read: accepting takes one turn of
        // the event loop, reading what the new connection sent another.
        for (let turn = 0; turn < TURNS_TO_READ; turn++) await nextTurn()
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
