import type { IncomingMessage, ServerResponse } from 'node:http'
import { say, type WordsKey } from '../../core/words/say'
import { renderMessagePage } from '../../onsite/render'
import { visitorPage } from './displayAnswers'
import type { Prepared } from './prepared'

export interface Problem {
  status: number
  /** What is said. */
  text: string
  title: string
  headers: Record<string, string>
}

const problem = (status: number, key: WordsKey, more: Partial<Problem> = {}): Problem => ({
  status,
  text: say(key),
  title: say('error.title'),
  headers: {},
  ...more,
})

const retrySoon = { headers: { 'Retry-After': '5' } }

/** Everything that the request layer refuses by itself. */
export const problems = {
  malformed: problem(400, 'error.malformed'),
  method: problem(405, 'error.method', { headers: { Allow: 'GET, HEAD, POST, OPTIONS' } }),
  broken: problem(400, 'error.broken'),
  fieldName: problem(400, 'error.fieldName'),
  foreign: problem(403, 'error.foreign'),
  tooSlow: problem(408, 'error.tooSlow'),
  tooLarge: problem(413, 'error.tooLarge'),
  tooManyFields: problem(413, 'error.tooManyFields'),
  wrongType: problem(415, 'error.wrongType'),
  unexpected: problem(500, 'error.unexpected'),
  busy: problem(503, 'error.busy', retrySoon),
  storageBusy: problem(503, 'error.storage.busy', { title: say('error.storage.title'), ...retrySoon }),
  storageUnwritable: problem(503, 'error.storage.unwritable', {
    title: say('error.storage.title'),
    ...retrySoon,
  }),
  storageFull: problem(503, 'error.storage.full', { title: say('error.storage.title'), ...retrySoon }),
}

const pages = new WeakMap<Problem, Prepared>()

function pageOf(problem: Problem): Prepared {
  const page = pages.get(problem) ?? visitorPage(renderMessagePage(problem))
  pages.set(problem, page)
  return page
}

/** Answers with a plain page, or with JSON for programs. What was sent and is not read yet ends with the connection. */
export function sendProblem(req: IncomingMessage, res: ServerResponse, problem: Problem): void {
  const { status, text, headers } = problem
  const asJson = req.headers.accept?.includes('application/json') ?? false
  const page = asJson ? null : pageOf(problem)
  const body = page ? page.plain : Buffer.from(JSON.stringify({ error: text }))
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
