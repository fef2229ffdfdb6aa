import type { IncomingMessage, ServerResponse } from 'node:http'
import { takenEncodings } from './encodings'
import type { Prepared } from './prepared'

/** Answers with the best encoding for the client, or 304. */
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
  res.writeHead(status, headOf(prepared, body, encoding))
  res.end(req.method === 'HEAD' ? undefined : body)
}

const heads = new WeakMap<Buffer, string[]>()

/** Node sends an array of headers fastest, so it is built once. */
function headOf({ headers }: Prepared, body: Buffer, encoding: string | undefined): string[] {
  const known = heads.get(body)
  if (known) return known
  const head = Object.entries(headers).flat()
  if (encoding) head.push('Content-Encoding', encoding)
  head.push('Content-Length', String(body.length))
  heads.set(body, head)
  return head
}

function hasIt(ifNoneMatch: string | undefined, etag: string): boolean {
  if (!ifNoneMatch) return false
  return ifNoneMatch === '*' || ifNoneMatch.split(',').some((tag) => tag.trim().replace(/^W\//, '') === etag)
}

function encoded(
  accept: string | undefined,
  { plain, gzip, brotli }: Prepared,
): { body: Buffer; encoding?: string } {
  if (accept === undefined) return { body: plain }
  const taken = takenEncodings(accept)
  if (brotli && taken.brotli) return { body: brotli, encoding: 'br' }
  if (gzip && taken.gzip) return { body: gzip, encoding: 'gzip' }
  return { body: plain }
}
