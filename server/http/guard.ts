import type { IncomingMessage, ServerResponse } from 'node:http'
import { say } from '../../core/words/say'

/** More than any form here can hold, but those that take a file of orders. */
const MOST_BYTES = 512 * 1024
const MOST_FILE_BYTES = 21_000_000
const takesFile = /^\/s\/[^/]+\/gather\/orders(?:\.data)?(?:\?|$)/

/** Refuses what was sent from another site and what is larger than any form, before anything is read of it. */
export function refuse(req: IncomingMessage, res: ServerResponse, publicUrl: string): boolean {
  if (req.method === 'GET' || req.method === 'HEAD' || req.method === 'OPTIONS') return false
  const { origin, host } = req.headers
  if (origin !== undefined && !isOwnOrigin(origin, host, publicUrl))
    return answer(req, res, 403, say('error.foreign'))
  const length = Number(req.headers['content-length'] ?? NaN)
  if (Number.isNaN(length) && req.headers['transfer-encoding'] !== undefined)
    return answer(req, res, 411, say('error.tooLarge'))
  const most = takesFile.test(req.url ?? '') ? MOST_FILE_BYTES : MOST_BYTES
  if (length > most) return answer(req, res, 413, say('error.tooLarge'))
  return false
}

function isOwnOrigin(origin: string, host: string | undefined, publicUrl: string): boolean {
  if (origin === new URL(publicUrl).origin) return true
  return URL.canParse(origin) && new URL(origin).host === host
}

function answer(req: IncomingMessage, res: ServerResponse, status: number, message: string): true {
  const json = req.headers.accept?.includes('application/json') ?? false
  const body = json ? JSON.stringify({ error: message }) : message
  res.writeHead(status, {
    'Content-Type': json ? 'application/json; charset=utf-8' : 'text/plain; charset=utf-8',
    Connection: 'close',
  })
  res.end(body)
  return true
}
