import type { IncomingMessage } from 'node:http'
import { canonicalAddress } from '../../core/formats/ipAddress'

/**
 * The network address of the client: that of the socket, or what the trusted proxies in front of it passed on. A client
 * can add entries to `X-Forwarded-For` only on the left of those that the proxies add.
 * @param trustedProxies how many proxies stand in front; 0 ignores the header
 * @returns an address in its shortest spelling, empty when nobody knows
 */
export function clientAddressOf(
  { headers, socket }: Pick<IncomingMessage, 'headers' | 'socket'>,
  trustedProxies: number,
): string {
  const forwarded = trustedProxies > 0 ? String(headers['x-forwarded-for'] ?? '').split(',') : []
  const passedOn = forwarded.at(-trustedProxies)?.trim() ?? ''
  return canonicalAddress(withoutPort(passedOn)) ?? canonicalAddress(socket.remoteAddress ?? '') ?? ''
}

const withoutPort = (text: string) =>
  text.replace(/^\[(.*)\](?::\d+)?$/, '$1').replace(/^(\d+(?:\.\d+){3}):\d+$/, '$1')
