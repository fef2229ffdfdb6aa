import type { IncomingMessage, ServerResponse } from 'node:http'
import { limitKeyOf } from '../../core/formats/ipAddress'
import { customerTranslate } from '../../core/messages/customers'
import { customerLanguage, customerLanguages } from '../../core/messages/customers/languages'
import { renderMessagePage } from '../../onsite/render'
import { displayJson, visitorPage } from './displayAnswers'
import { answerKinds, type AnswerKind } from './answerKind'
import type { DisplayVariants } from './displayVariants'
import type { LiveDisplays } from './liveDisplays'
import type { Log } from '../log'
import type { Prepared } from './prepared'
import { BodyRefused, readBody, type Patience } from './requestBody'
import { customerRequestLanguage } from './requestLanguage'
import { sendPrepared } from './sendPrepared'
import type { Throttle } from './throttle'
import type { UploadMemory } from './uploadMemory'

const openToAll = { 'Access-Control-Allow-Origin': '*' }

/** The answers where no display is published, in each language. */
const absent = new Map(
  customerLanguages.map((language) => {
    const translate = customerTranslate(language)
    const text = translate('visitor.notPublished')
    const title = translate('visitor.notPublishedTitle')
    const page = visitorPage(renderMessagePage({ language, title, text }))
    return [
      language,
      {
        json: displayJson(JSON.stringify({ error: text })),
        // Depends on the browser's language, so caches must not share it.
        page: { ...page, headers: { ...page.headers, 'Cache-Control': 'no-store' } },
      },
    ]
  }),
)

/** The JSON of a display uses the language of its address, its page that of the browser. */
function absenceFor(req: IncomingMessage, kind: AnswerKind, query: string | undefined): Prepared {
  if (kind !== '.json') return absent.get(customerRequestLanguage(req) ?? 'en')!.page
  return absent.get(customerLanguage(new URLSearchParams(query).get('lang') ?? '') ?? 'en')!.json
}

interface Answering {
  live: LiveDisplays
  variants: DisplayVariants
  files: Map<string, Prepared>
  /** Called when a page reports that it shows a display. */
  hearSeen: (key: string, page: string, mayAdd: () => Promise<boolean>) => Promise<void>
  throttle: Pick<Throttle, 'seen' | 'newPageSeen'>
  memory: UploadMemory
  patience: Patience
  log: Log
}

/**
 * Answers visitors: published displays from memory, their variants and pages, and prepared files. Returns
 * false for other paths, which the router answers.
 */
export function answerPublic(
  req: IncomingMessage,
  res: ServerResponse,
  clientAddress: string,
  answering: Answering,
): boolean {
  const [path = '/', query] = (req.url ?? '/').split('?', 2)
  const display = /^\/d\/([a-z0-9-]{1,80})(\.json|\/all|\/part)?$/.exec(path)
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
    void hearPage(req, res, clientAddress, seen[1]!, answering)
    return true
  }
  if (req.method !== 'GET' && req.method !== 'HEAD') return false
  if (display) {
    answerDisplay(
      req,
      res,
      answering,
      display[1]!,
      answerKinds.find((kind) => kind === display[2]) ?? '',
      query,
    )
    return true
  }
  const file = answering.files.get(path)
  if (!file) return false
  sendPrepared(req, res, file)
  return true
}

const MAX_PAGE_BYTES = 600

/** Reads the few bytes of a beacon. The answer doesn't depend on them. */
async function hearPage(
  req: IncomingMessage,
  res: ServerResponse,
  clientAddress: string,
  key: string,
  { hearSeen, throttle, memory, patience, log }: Answering,
): Promise<void> {
  try {
    const client = limitKeyOf(clientAddress)
    const body = await readBody(req, res, { memory, client, patience, maxBytes: MAX_PAGE_BYTES })
    res.writeHead(204, openToAll).end()
    if ((await throttle.seen(clientAddress)) !== null) return
    await hearSeen(
      key,
      body.toString('utf8'),
      async () => (await throttle.newPageSeen(clientAddress)) === null,
    )
  } catch (error) {
    if (!(error instanceof BodyRefused)) log.error({ err: error }, 'the report of a page could not be stored')
    if (!res.headersSent) res.destroy()
  }
}

function answerDisplay(
  req: IncomingMessage,
  res: ServerResponse,
  { live, variants, log }: Answering,
  name: string,
  kind: AnswerKind,
  query: string | undefined,
): void {
  const key = live.keyOf(name)
  const missing = absenceFor(req, kind, query)
  if (key === undefined) return sendPrepared(req, res, missing, 404)
  // The most frequent request is answered without waiting for anything.
  const ready = kind === '.json' && !query ? live.json(key) : undefined
  if (ready) return sendPrepared(req, res, ready)
  variants(key, kind, new URLSearchParams(query)).then(
    (answer) => sendPrepared(req, res, answer ?? missing, answer ? 200 : 404),
    (error: unknown) => {
      log.error({ err: error, display: key }, 'a display could not be answered')
      res.writeHead(503, { 'Retry-After': '5', ...openToAll }).end()
    },
  )
}
