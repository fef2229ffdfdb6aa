import type { IncomingMessage, ServerResponse } from 'node:http'
import { say } from '../../core/words/say'
import { renderAbsentPage } from '../../onsite/render'
import { displayJson, visitorPage } from './displayAnswers'
import type { AnswerKind, DisplayVariants } from './displayVariants'
import type { LiveDisplays } from './liveDisplays'
import type { Prepared } from './prepared'
import { sendPrepared } from './sendPrepared'

const openToAll = { 'Access-Control-Allow-Origin': '*' }
const absent = {
  json: displayJson(JSON.stringify({ error: say('public.noDisplay') })),
  page: visitorPage(renderAbsentPage()),
}

interface Answering {
  live: LiveDisplays
  variants: DisplayVariants
  files: Map<string, Prepared>
  /** Told that a display stands on a page. */
  hearSeen: (key: string, page: string) => Promise<void>
}

/**
 * Answers what visitors fetch: live displays from memory, their variants and pages, and prepared files. False when the
 * path is none of these, so that the router answers.
 */
export function answerPublic(req: IncomingMessage, res: ServerResponse, answering: Answering): boolean {
  const [path, query] = (req.url ?? '/').split('?', 2) as [string, string | undefined]
  const display = /^\/d\/([a-z0-9-]{1,80})(\.json|\/all)?$/.exec(path)
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
  const seen = /^\/d\/([a-z0-9-]{1,80})\/seen$/.exec(path)
  if (req.method === 'POST' && seen) {
    void hear(req, res, seen[1]!, answering.hearSeen)
    return true
  }
  if (req.method !== 'GET' && req.method !== 'HEAD') return false
  if (display) {
    answerDisplay(req, res, answering, display[1]!, (display[2] ?? '') as AnswerKind, query)
    return true
  }
  const file = answering.files.get(path)
  if (!file) return false
  sendPrepared(req, res, file)
  return true
}

const LONGEST_PAGE = 600

/** Takes the few bytes of a beacon; whatever they say, the page is answered the same. */
async function hear(
  req: IncomingMessage,
  res: ServerResponse,
  key: string,
  hearSeen: Answering['hearSeen'],
): Promise<void> {
  try {
    let told = ''
    for await (const part of req) {
      told += String(part)
      if (told.length > LONGEST_PAGE) break
    }
    res.writeHead(204, openToAll).end()
    if (told.length <= LONGEST_PAGE) await hearSeen(key, told)
  } catch (error) {
    console.error('what a page told could not be kept:', error)
    res.destroy()
  }
}

function answerDisplay(
  req: IncomingMessage,
  res: ServerResponse,
  { live, variants }: Answering,
  name: string,
  kind: AnswerKind,
  query: string | undefined,
): void {
  const key = live.keyOf(name)
  const missing = kind === '.json' ? absent.json : absent.page
  if (key === undefined) return sendPrepared(req, res, missing, 404)
  // What is asked for most is sent at once, without a turn of waiting.
  const ready = kind === '.json' && !query ? live.json(key) : undefined
  if (ready) return sendPrepared(req, res, ready)
  variants(key, kind, new URLSearchParams(query)).then(
    (answer) => sendPrepared(req, res, answer ?? missing, answer ? 200 : 404),
    (error: unknown) => {
      console.error(`the display ${key} could not be answered:`, error)
      res.writeHead(503, { 'Retry-After': '5', ...openToAll }).end()
    },
  )
}
