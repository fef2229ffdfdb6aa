import type { IncomingMessage, ServerResponse } from 'node:http'
import type { LiveDisplays } from '../publishing/liveDisplays'
import { prepare, type Prepared } from './prepared'
import { sendPrepared } from './sendPrepared'
import { say } from '../../core/words/say'

const openToAll = { 'Access-Control-Allow-Origin': '*' }

const noDisplayJson = prepare(JSON.stringify({ error: say('public.noDisplay') }), {
  'Content-Type': 'application/json; charset=utf-8',
  'Cache-Control': 'no-cache',
  ...openToAll,
})
const noDisplayPage = prepare(
  `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${say('public.noDisplayTitle')}</title><main><h1>${say('public.noDisplayTitle')}</h1><p>${say('public.noDisplay')}</p></main></html>`,
  {
    'Content-Type': 'text/html; charset=utf-8',
    'Cache-Control': 'no-cache',
    'Content-Security-Policy': "default-src 'none'",
  },
)

/**
 * Answers what visitors fetch, from memory: live displays and prepared files. False when the path is none of these,
 * so that the router answers.
 */
export function answerPublic(
  req: IncomingMessage,
  res: ServerResponse,
  { live, files }: { live: LiveDisplays; files: Map<string, Prepared> },
): boolean {
  const path = (req.url ?? '/').split('?', 1)[0]!
  const display = /^\/d\/([a-z0-9-]{1,80})(\.json)?$/.exec(path)
  if (req.method === 'OPTIONS' && display) {
    res
      .writeHead(204, {
        ...openToAll,
        'Access-Control-Allow-Methods': 'GET, HEAD',
        'Access-Control-Allow-Headers': '*',
      })
      .end()
    return true
  }
  if (req.method !== 'GET' && req.method !== 'HEAD') return false
  if (display) {
    const found = live.get(display[1]!)
    const json = display[2] !== undefined
    if (found) sendPrepared(req, res, json ? found.json : found.page)
    else sendPrepared(req, res, json ? noDisplayJson : noDisplayPage, 404)
    return true
  }
  const file = files.get(path)
  if (!file) return false
  sendPrepared(req, res, file)
  return true
}
