import { readFile } from 'node:fs/promises'
import type { IncomingMessage, ServerResponse } from 'node:http'
import path from 'node:path'
import { prepare, type Prepared } from './prepared'
import { sendPrepared } from './sendPrepared'

const MOST_BYTES_KEPT = 32_000_000
const headers = {
  'Content-Type': 'image/webp',
  'Cache-Control': 'public, max-age=31536000, immutable',
  'Content-Security-Policy': "default-src 'none'; sandbox",
  'Access-Control-Allow-Origin': '*',
  'Cross-Origin-Resource-Policy': 'cross-origin',
}

/** Serves files of pictures, and keeps requested ones in memory. */
export function mediaAnswers(folder: string) {
  const kept = new Map<string, Prepared>()
  let bytesKept = 0
  return (req: IncomingMessage, res: ServerResponse): boolean => {
    const name = /^\/media\/([0-9a-f]{32}\.webp)$/.exec((req.url ?? '').split('?', 1)[0]!)?.[1]
    if (!name || (req.method !== 'GET' && req.method !== 'HEAD')) return false
    const there = kept.get(name)
    if (there) sendPrepared(req, res, there)
    else
      void fromFile(name).then((found) =>
        found
          ? sendPrepared(req, res, found)
          : res.writeHead(404, { 'X-Content-Type-Options': 'nosniff', 'Cache-Control': 'no-store' }).end(),
      )
    return true
  }

  async function fromFile(name: string): Promise<Prepared | null> {
    const bytes = await readFile(path.join(folder, name)).catch(() => null)
    if (!bytes) return null
    const prepared = prepare(bytes, headers, 'never')
    if (!kept.has(name)) bytesKept += bytes.length
    kept.set(name, prepared)
    for (const [oldest, { plain }] of kept) {
      if (bytesKept <= MOST_BYTES_KEPT) break
      kept.delete(oldest)
      bytesKept -= plain.length
    }
    return prepared
  }
}
