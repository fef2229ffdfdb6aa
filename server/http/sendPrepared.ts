import type { IncomingMessage, ServerResponse } from 'node:http'
import type { Prepared } from './prepared'

/** Answers with prepared bytes in the best encoding that the asker takes, or 304 when it has them already. */
export function sendPrepared(
  req: IncomingMessage,
  res: ServerResponse,
  prepared: Prepared,
  status = 200,
): void {
  if (status === 200 && hasIt(req.headers['if-none-match'], prepared.etag)) {
    res.writeHead(304, prepared.headers).end()
    return
  }
  const { body, encoding } = encoded(req.headers['accept-encoding'], prepared)
  res.writeHead(status, {
    ...prepared.headers,
    ...(encoding ? { 'Content-Encoding': encoding } : {}),
    'Content-Length': body.length,
  })
  res.end(req.method === 'HEAD' ? undefined : body)
}

function hasIt(ifNoneMatch: string | undefined, etag: string): boolean {
  if (!ifNoneMatch) return false
  return ifNoneMatch === '*' || ifNoneMatch.split(',').some((tag) => tag.trim().replace(/^W\//, '') === etag)
}

function encoded(
  accept: string | undefined,
  { plain, gzip, brotli }: Prepared,
): { body: Buffer; encoding?: string } {
  const takes = (coding: string) =>
    accept !== undefined &&
    new RegExp(`(^|[\\s,])${coding}(?!\\s*;\\s*q=0(\\.0*)?\\s*(,|$))`, 'i').test(accept)
  if (brotli && takes('br')) return { body: brotli, encoding: 'br' }
  if (gzip && takes('gzip')) return { body: gzip, encoding: 'gzip' }
  return { body: plain }
}
