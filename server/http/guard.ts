import type { IncomingMessage, ServerResponse } from 'node:http'
import { MOST_PHOTO_BYTES } from '../../core/intake/photos'
import { say } from '../../core/words/say'
import { makeRoom } from './room'

const multipart = /^multipart\/form-data/i
/** More than any form here can hold, but those that take files. */
const MOST_BYTES = 512 * 1024
const forFiles: [path: RegExp, type: RegExp, mostBytes: number][] = [
  [/^\/s\/[^/]+\/gather\/orders(?:\.data)?(?:\?|$)/, multipart, 21_000_000],
  // One photo ahead of its form, and all of them with it where no script made them smaller.
  [/^\/f\/[^/]+\/photo(?:\?|$)/, /./, MOST_PHOTO_BYTES],
  [/^\/(?:f|r)\/[^/]+(?:\.data)?(?:\?|$)/, multipart, 60_000_000],
]

/** Refuses what was sent from another site and what is larger than any form, before anything is read of it. */
export function refuse(req: IncomingMessage, res: ServerResponse, publicUrl: string): boolean {
  if (req.method === 'GET' || req.method === 'HEAD' || req.method === 'OPTIONS') return false
  const { origin, host } = req.headers
  if (origin !== undefined && !isOwnOrigin(origin, host, publicUrl))
    return answer(req, res, 403, say('error.foreign'))
  const length = Number(req.headers['content-length'] ?? NaN)
  if (Number.isNaN(length) && req.headers['transfer-encoding'] !== undefined)
    return answer(req, res, 411, say('error.tooLarge'))
  const most = mostBytes(req)
  if (length > most) return answer(req, res, 413, say('error.tooLarge'))
  if (length > MOST_BYTES && !makeRoom(res, length))
    return answer(req, res, 503, say('error.busy'), { 'Retry-After': '5' })
  return false
}

function mostBytes({ url = '', headers }: IncomingMessage): number {
  const type = headers['content-type'] ?? 'none'
  return forFiles.find(([path, ofType]) => path.test(url) && ofType.test(type))?.[2] ?? MOST_BYTES
}

function isOwnOrigin(origin: string, host: string | undefined, publicUrl: string): boolean {
  if (origin === new URL(publicUrl).origin) return true
  return URL.canParse(origin) && new URL(origin).host === host
}

function answer(
  req: IncomingMessage,
  res: ServerResponse,
  status: number,
  message: string,
  headers: Record<string, string> = {},
): true {
  const json = req.headers.accept?.includes('application/json') ?? false
  const body = json ? JSON.stringify({ error: message }) : message
  res.writeHead(status, {
    'Content-Type': json ? 'application/json; charset=utf-8' : 'text/plain; charset=utf-8',
    Connection: 'close',
    ...headers,
  })
  res.end(body)
  return true
}
