import type { IncomingMessage } from 'node:http'

type MalformedPart = 'method' | 'target' | 'host'

const methods = new Set(['GET', 'HEAD', 'POST', 'OPTIONS'])
const MAX_TARGET_LENGTH = 4096
const hostShape = /^(?:[a-z0-9](?:[a-z0-9._-]*[a-z0-9])?|\[[0-9a-f:.]+\])\.?(?::(\d{1,5}))?$/i

/** Null if the request is well-formed. Later code can parse its address without errors. */
export function malformedPart({
  method,
  url = '',
  httpVersion,
  headers,
  rawHeaders,
}: IncomingMessage): MalformedPart | null {
  if (!methods.has(method ?? '')) return 'method'
  if (!isPath(url)) return 'target'
  const hosts = hostLines(rawHeaders)
  if (hosts === 0 && httpVersion === '1.0') return null
  return hosts === 1 && isHost(headers.host ?? '') ? null : 'host'
}

function hostLines(rawHeaders: string[]): number {
  let lines = 0
  for (let at = 0; at < rawHeaders.length; at += 2)
    if (rawHeaders[at]!.length === 4 && rawHeaders[at]!.toLowerCase() === 'host') lines++
  return lines
}

/** Covers nearly all targets without decoding or parsing. */
const plainTarget = /^(?:\/[\w~-][\w.~-]*)+\/?(?:\?[\w.~=&%+/-]*)?$|^\/$/

/** Whether a request target is a path on this site (not `//host` or `http://…`) without control characters. */
function isPath(target: string): boolean {
  if (target.length > MAX_TARGET_LENGTH) return false
  if (plainTarget.test(target)) return true
  if (!/^\/(?![/\\])[^#]*$/.test(target)) return false
  const path = target.split('?', 1)[0]!
  const decoded = decodedOrNull(path)
  // oxlint-disable-next-line no-control-regex
  if (decoded === null || /[\u0000-\u001f\u007f\\]|\/\//.test(decoded) || /[\u0000-\u0020]/.test(target))
    return false
  const base = 'http://host.example'
  return URL.canParse(target, base) && new URL(target, base).origin === base
}

/** Known good hosts; nearly all requests name the same. */
const goodHosts = new Set<string>()
const MAX_GOOD_HOSTS = 100

function isHost(host: string): boolean {
  if (goodHosts.has(host)) return true
  const shape = hostShape.exec(host)
  const isGood = shape !== null && Number(shape[1] ?? 0) <= 65_535
  if (isGood && goodHosts.size < MAX_GOOD_HOSTS) goodHosts.add(host)
  return isGood
}

function decodedOrNull(text: string): string | null {
  try {
    return decodeURIComponent(text)
  } catch {
    return null
  }
}
