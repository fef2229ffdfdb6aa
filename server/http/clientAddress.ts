import { LRUCache } from 'lru-cache'
import type { IncomingMessage } from 'node:http'
import { canonicalAddress, networkOf } from '../../core/formats/ipAddress'

/** Both parts are empty if unknown. */
export interface Client {
  /** A network address in its shortest form. */
  address: string
  /** The part that may be logged. */
  network: string
}

/** Parsing an address takes longer than an answer from memory. */
const known = new LRUCache<string, Client>({ max: 10_000 })

/**
 * The address of the client: that of the socket, or the one that trusted proxies pass on. A client can add
 * entries to `X-Forwarded-For` only to the left of those that the proxies add.
 * @param trustedProxies the number of proxies in front; 0 ignores the header
 */
export function clientOf(
  { headers, socket }: Pick<IncomingMessage, 'headers' | 'socket'>,
  trustedProxies: number,
): Client {
  const direct = clientFrom(socket.remoteAddress ?? '')
  if (trustedProxies === 0) return direct
  const forwarded = String(headers['x-forwarded-for'] ?? '').split(',')
  const passedOn = clientFrom(forwarded.at(-trustedProxies)?.trim() ?? '')
  return passedOn.address === '' ? direct : passedOn
}

function clientFrom(text: string): Client {
  const before = known.get(text)
  if (before) return before
  const address = canonicalAddress(withoutPort(text)) ?? ''
  const client = { address, network: networkOf(address) }
  known.set(text, client)
  return client
}

const withoutPort = (text: string) =>
  text.replace(/^\[(.*)\](?::\d+)?$/, '$1').replace(/^(\d+(?:\.\d+){3}):\d+$/, '$1')
