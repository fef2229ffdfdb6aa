import type { IncomingMessage } from 'node:http'

/** The header in which a request carries on who asks; whatever a client writes there is overwritten. */
export const ASKER = 'x-elogio-asker'

/** Puts the network address of whoever asks on a request, as far as the trusted proxies in front can say. */
export function nameAsker(req: IncomingMessage, trustedProxies: number): void {
  const passed = String(req.headers['x-forwarded-for'] ?? '')
    .split(',')
    .map((address) => address.trim())
    .filter(Boolean)
  const asked = trustedProxies > 0 ? passed.at(-trustedProxies) : undefined
  req.headers[ASKER] = asked ?? req.socket.remoteAddress ?? 'unknown'
}

/** The network address that a request carries on, as `nameAsker` put it there. */
export const askerOf = (request: Request): string => request.headers.get(ASKER) ?? 'unknown'
