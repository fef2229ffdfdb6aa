import type { IncomingMessage, Server, ServerResponse } from 'node:http'

/** Follows the requests of a server, so that it can stop without cutting one off. */
export function followRequests(server: Server) {
  const open = new Set<ServerResponse>()
  let closing = false
  server.prependListener('request', (_req: IncomingMessage, res: ServerResponse) => {
    if (closing) res.shouldKeepAlive = false
    open.add(res)
    res.once('close', () => open.delete(res))
  })
  return {
    /**
     * Takes no more connections, and resolves when every request that came has been answered.
     * @param withinMs after which what is left is cut off
     */
    async close(withinMs: number): Promise<void> {
      closing = true
      const closed = new Promise<void>((resolve) => server.close(() => resolve()))
      for (const res of open) res.shouldKeepAlive = false
      server.closeIdleConnections()
      const late = setTimeout(() => server.closeAllConnections(), withinMs)
      await closed
      clearTimeout(late)
    },
  }
}
