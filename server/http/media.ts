import { readFile } from 'node:fs/promises'
import type { IncomingMessage, ServerResponse } from 'node:http'
import path from 'node:path'
import send from 'send'
import { asItIs, prepare, type Prepared } from './prepared'
import { sendPrepared } from './sendPrepared'

const lasting = 'public, max-age=31536000, immutable'
const MOST_BYTES_KEPT = 32_000_000
const headers = {
  'Content-Type': 'image/webp',
  'Cache-Control': lasting,
  'Content-Security-Policy': "default-src 'none'; sandbox",
  'Access-Control-Allow-Origin': '*',
  'Cross-Origin-Resource-Policy': 'cross-origin',
}

/** Serves files of pictures, and keeps requested ones in memory; and videos, in the parts that a browser asks for. */
export function mediaAnswers(folder: string) {
  const kept = new Map<string, Prepared>()
  let bytesKept = 0
  return (req: IncomingMessage, res: ServerResponse): boolean => {
    const address = (req.url ?? '').split('?', 1)[0]!
    const video = /^\/media\/([0-9a-f]{32}\.(?:mp4|webm))$/.exec(address)?.[1]
    if (video && (req.method === 'GET' || req.method === 'HEAD')) {
      sendVideo(req, res, folder, video)
      return true
    }
    const name = /^\/media\/([0-9a-f]{32}\.webp)$/.exec(address)?.[1]
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
    const prepared = prepare(bytes, headers, asItIs)
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

function sendVideo(req: IncomingMessage, res: ServerResponse, folder: string, name: string): void {
  const missing = (status = 404) =>
    res.writeHead(status, { 'X-Content-Type-Options': 'nosniff', 'Cache-Control': 'no-store' }).end()
  send(req, `/${name}`, { root: folder, index: false, dotfiles: 'deny', cacheControl: false })
    .on('headers', (answer: ServerResponse) => {
      for (const [header, value] of Object.entries(headers)) answer.setHeader(header, value)
      answer.setHeader('Content-Type', name.endsWith('.mp4') ? 'video/mp4' : 'video/webm')
      answer.setHeader('X-Content-Type-Options', 'nosniff')
    })
    .on('error', ({ status }: { status?: number }) => missing(status === 416 ? 416 : 404))
    .on('directory', () => missing())
    .pipe(res)
}
