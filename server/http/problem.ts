import type { IncomingMessage, ServerResponse } from 'node:http'
import { customerTranslate } from '../../core/messages/customers'
import type { CustomerLanguage } from '../../core/messages/customers/languages'
import type { CustomerKey } from '../../core/messages/customers/customerMessages'
import { say } from '../../core/messages/say/everything'
import { renderMessagePage } from '../../onsite/render'
import { visitorPage } from './displayAnswers'
import type { Prepared } from './prepared'
import { customerRequestLanguage } from './requestLanguage'

type ProblemKey = Extract<CustomerKey, `problem.${string}`>
type PlainKey = Exclude<ProblemKey, 'problem.wait'>

export interface Problem {
  status: number
  title: PlainKey
  text: PlainKey
  /** What members read instead, because they can do more about it. */
  forOwner: { title: string; text: string } | null
  headers: Record<string, string>
}

const problem = (status: number, text: PlainKey, more: Partial<Problem> = {}): Problem => ({
  status,
  title: 'problem.title',
  text,
  forOwner: null,
  headers: {},
  ...more,
})

const retrySoon = { headers: { 'Retry-After': '5' } }
const notSaved = (forOwner: string) =>
  problem(503, 'problem.notSaved', {
    title: 'problem.notSavedTitle',
    forOwner: { title: say('error.storage.title'), text: forOwner },
    ...retrySoon,
  })

/** All problems that the request layer answers itself. */
export const problems = {
  malformed: problem(400, 'problem.malformed'),
  method: problem(405, 'problem.method', { headers: { Allow: 'GET, HEAD, POST, OPTIONS' } }),
  broken: problem(400, 'problem.broken'),
  fieldName: problem(400, 'problem.fieldName'),
  foreign: problem(403, 'problem.foreign'),
  tooSlow: problem(408, 'problem.tooSlow'),
  tooLarge: problem(413, 'problem.tooLarge'),
  longField: problem(413, 'problem.longField'),
  tooManyFields: problem(413, 'problem.tooManyFields'),
  wrongType: problem(415, 'problem.wrongType'),
  unexpected: problem(500, 'problem.unexpected'),
  busy: problem(503, 'problem.busy', retrySoon),
  storageBusy: notSaved(say('error.storage.busy')),
  storageUnwritable: notSaved(say('error.storage.unwritable')),
  storageFull: notSaved(say('error.storage.full')),
}

interface Wording {
  /** For the `lang` of the page. */
  language: CustomerLanguage
  title: string
  text: string
}

function wordingOf(req: IncomingMessage, { title, text, forOwner }: Problem): Wording {
  const language = customerRequestLanguage(req)
  if (language === null && forOwner) return { language: 'en', ...forOwner }
  const translate = customerTranslate(language ?? 'en')
  return { language: language ?? 'en', title: translate(title), text: translate(text) }
}

const pages = new Map<string, Prepared>()

/** The page for one text; there are few, so each is rendered once. */
function pageOf(wording: Wording): Prepared {
  const key = `${wording.language} ${wording.title} ${wording.text}`
  const page = pages.get(key) ?? visitorPage(renderMessagePage(wording))
  pages.set(key, page)
  return page
}

/**
 * Answers with a plain page, or with JSON for programs. If part of the request is unread, the connection is
 * closed.
 */
export function sendProblem(req: IncomingMessage, res: ServerResponse, problem: Problem): void {
  const { status, headers } = problem
  const wording = wordingOf(req, problem)
  const asJson = req.headers.accept?.includes('application/json') ?? false
  const page = asJson ? null : pageOf(wording)
  const body = page ? page.plain : Buffer.from(JSON.stringify({ error: wording.text }))
  res.writeHead(status, {
    ...(page?.headers ?? {
      'Content-Type': 'application/json; charset=utf-8',
      'X-Content-Type-Options': 'nosniff',
    }),
    ...headers,
    'Cache-Control': 'no-store',
    'Content-Length': body.length,
    ...(req.complete ? {} : { Connection: 'close' }),
  })
  res.end(req.method === 'HEAD' ? undefined : body)
}
