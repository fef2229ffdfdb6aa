import type { IncomingMessage, ServerResponse } from 'node:http'
import { performance } from 'node:perf_hooks'
import type { AppLoadContext } from 'react-router'
import { limitKeyOf } from '../../core/formats/ipAddress'
import { say } from '../../core/messages/say/everything'
import { storageFault, type StorageFault } from '../data/storageFault'
import type { Faults } from '../faults'
import type { Log } from '../log'
import { clientOf } from './clientAddress'
import { wantsFormJson } from './formJson'
import type { OpenRequests } from './gracefulClose'
import { problems, sendProblem, type Problem } from './problem'
import type { PublicSite } from './publicSite'
import type { Patience } from './requestBody'
import { logRequest } from './requestLog'
import { malformedPart } from './requestTarget'
import type { RouteListener } from './routeListener'
import { readSentBody } from './sentBody'
import type { UploadMemory } from './uploadMemory'

/** Answers a request if it can; false leaves it to the next. */
type Answerer = (req: IncomingMessage, res: ServerResponse, clientAddress: string) => boolean

interface RequestLayer {
  site: PublicSite
  trustedProxies: number
  log: Log
  faults: Faults
  requests: OpenRequests
  memory: UploadMemory
  patience: Patience
  /** Handlers that need no router, in this order. */
  answerers: Answerer[]
  route: RouteListener
  contextFor: (clientAddress: string, form: FormData | null) => AppLoadContext
}

/**
 * The listener for all requests. Each is answered or closed, and logged in one line. Nothing malformed,
 * foreign or too large reaches the router.
 */
export function buildRequestListener(layer: RequestLayer) {
  const warnOfProxy = warnOnceOfProxy(layer)
  return (req: IncomingMessage, res: ServerResponse): void => {
    const client = clientOf(req, layer.trustedProxies)
    const { method, url = '' } = req
    const begun = performance.now()
    layer.requests.begin(res)
    res.once('close', () => {
      layer.requests.end(res)
      logRequest(layer.log, { method, url }, res, client.network, performance.now() - begun)
    })
    try {
      const malformed = malformedPart(req)
      if (malformed)
        return sendProblem(req, res, malformed === 'method' ? problems.method : problems.malformed)
      if (layer.answerers.some((answers) => answers(req, res, client.address))) return
    } catch (error) {
      return answerFault(layer, req, res, error)
    }
    warnOfProxy(req)
    answerPage(layer, req, res, client.address).catch((error: unknown) => answerFault(layer, req, res, error))
  }
}

/** Behind an undeclared proxy, all limits would treat all clients as one. */
function warnOnceOfProxy({ trustedProxies, log }: RequestLayer): (req: IncomingMessage) => void {
  let warned = trustedProxies > 0
  return ({ headers }) => {
    if (warned || headers['x-forwarded-for'] === undefined) return
    warned = true
    log.warn('A proxy seems to stand in front. Set TRUST_PROXY to how many there are.')
  }
}

async function answerPage(
  { site, memory, patience, route, contextFor }: RequestLayer,
  req: IncomingMessage,
  res: ServerResponse,
  clientAddress: string,
): Promise<void> {
  // Without a listener, an error while writing the answer would be uncaught.
  res.on('error', () => undefined)
  const elsewhere = site.elsewhere(req.headers.host, req.url!)
  if (elsewhere !== null) return answerElsewhere(site, req, res, elsewhere)
  const { origin } = req.headers
  if (origin !== undefined && req.method === 'POST' && !site.isOwnOrigin(origin))
    return sendProblem(req, res, problems.foreign)
  const sent = await readSentBody(req, res, { memory, patience, client: limitKeyOf(clientAddress) })
  if (sent === 'gone') return void res.destroy()
  if ('problem' in sent) return sendProblem(req, res, sent.problem)
  if (wantsFormJson(req)) req.url = `/api${req.url}`
  await route(req, res, sent, contextFor(clientAddress, sent.form))
}

/** A page under a foreign host redirects to the public address. If there is none, the answer explains it. */
function answerElsewhere(site: PublicSite, req: IncomingMessage, res: ServerResponse, where: string): void {
  const reading = req.method === 'GET' || req.method === 'HEAD'
  if (!reading || site.isLocal) {
    const text = say('error.otherHost', { origin: site.origin })
    const forOwner = { title: say('problem.title'), text }
    return sendProblem(req, res, { ...problems.malformed, status: 421, forOwner })
  }
  res.writeHead(302, { Location: where, 'Cache-Control': 'no-store' }).end()
}

/** Answers with a problem, unless the answer has begun. */
function answerFault(
  { log, faults }: RequestLayer,
  req: IncomingMessage,
  res: ServerResponse,
  error: unknown,
): void {
  const storage = storageFault(error)
  if (!storage) faults.note(error)
  if (res.headersSent || res.destroyed) return void res.destroy()
  try {
    sendProblem(req, res, problemOf(storage))
  } catch (again) {
    log.error({ err: again }, 'an error could not be answered')
    res.destroy()
  }
}

function problemOf(storage: StorageFault | null): Problem {
  switch (storage) {
    case 'busy':
      return problems.storageBusy
    case 'full':
      return problems.storageFull
    case 'unwritable':
      return problems.storageUnwritable
    case null:
      return problems.unexpected
  }
}
