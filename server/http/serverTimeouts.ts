import type { Server } from 'node:http'
import { Socket } from 'node:net'
import { patience } from './requestBody'

/** Limits for connections, in milliseconds. */
export const serverTimeouts = {
  /** For the request line and headers. */
  headersTimeout: 15_000,
  /** For a whole request. Its body has a shorter limit, which sends an answer. */
  requestTimeout: patience.maxMs + 30_000,
  /** Between two requests. Longer than proxies keep a connection, so that they never send into a closed one. */
  keepAliveTimeout: 75_000,
  /** Without a byte in either direction. */
  timeout: 120_000,
}

const MAX_HEADERS = 100

export function limitConnections(server: Server): void {
  Object.assign(server, serverTimeouts)
  server.maxHeadersCount = MAX_HEADERS
  // For anything that isn't HTTP.
  server.on('clientError', (error: NodeJS.ErrnoException, socket) => {
    // A browser opens spare connections. It would show an answer to nothing as the page that it asks for later, so
    // that one stays open until the timeout of all connections.
    if (error.code === 'ERR_HTTP_REQUEST_TIMEOUT' && socket instanceof Socket && socket.bytesRead === 0)
      return
    if (socket.writable)
      socket.end('HTTP/1.1 400 Bad Request\r\nConnection: close\r\nContent-Length: 0\r\n\r\n')
    else socket.destroy()
  })
}
