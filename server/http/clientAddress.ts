import { LRUCache } from 'lru-cache'
import type { IncomingMessage } from 'node:http'
import { canonicalAddress, networkOf } from '../../core/formats/ipAddress'

/** Where a request comes from. Both are empty when nobody knows. */
export interface Client {
  /** A network address in its shortest spelling. */
  address: string
  /** The part of it that may be logged. */
  network: string
}

/** Parsing an address costs more than answering from memory does. */
const known = new LRUCache<string, Client>({ max: 10_000 })

/**
 * The client of a request: the socket's address, or what the trusted proxies in front of it passed on. A client can add
 * entries to `X-Forwarded-For` only on the left of those that the proxies add.
 * @param trustedProxies how many proxies stand in front; 0 ignores the header
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
