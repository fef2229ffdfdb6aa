import type { IncomingMessage, ServerResponse } from 'node:http'
import { say } from '../../core/words/say'
import { renderAbsentPage } from '../../onsite/render'
import { displayJson, displayPage } from './displayAnswers'
import type { LiveDisplays } from './liveDisplays'
import type { Prepared } from './prepared'
import { sendPrepared } from './sendPrepared'

const openToAll = { 'Access-Control-Allow-Origin': '*' }
const absent = {
  json: displayJson(JSON.stringify({ error: say('public.noDisplay') })),
  page: displayPage(renderAbsentPage()),
}

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
    const answer = found ?? absent
    sendPrepared(req, res, json ? answer.json : answer.page, found ? 200 : 404)
    return true
  }
  const file = files.get(path)
  if (!file) return false
  sendPrepared(req, res, file)
  return true
}
