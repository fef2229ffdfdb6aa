import type { OriginAdapter, OriginAnswer } from '../../core/listing/originAdapter'
import {
  stepFor,
  type OriginQuestion,
  type OriginReply,
  type ReadReply,
} from '../../core/listing/originQuestion'
import { OriginRefusal, type RefusalCode } from '../../core/listing/originRefusal'
import { adapterFor } from '../../core/listing/origins'
import { originCalls, storeOriginCalls } from '../data/originCalls'
import { writing } from '../data/writing'
import { decodeText } from '../outside/decodeText'
import { OutsideError, type FetchFailure } from '../outside/fetchOutside'
import type { Services } from '../services'
import { TaskExhausted, type Tasks } from '../workers/workers'

const MEGABYTE = 1_048_576
const limits = {
  mostBytes: 4 * MEGABYTE,
  withinMs: 8000,
  kinds:
    /^(text\/(html|csv|plain|tab-separated-values)|application\/([a-z.]+\+)?json|application\/(xhtml\+xml|csv|octet-stream))\b/i,
  anyStatus: true,
}
/** A second longer than a minute, because the clock of the site can be behind. */
const MINUTE_MS = 61_000
/** When a site says "too many" and not how long to wait. */
const UNSAID_WAIT_MS = 60_000
/**
 * One address of a host must not stop the checks of all shops there for long; the listing itself waits as long as it is
 * told to.
 */
const MAX_HOST_WAIT_MS = 5 * 60_000

/**
 * Asks a site, within its limit of calls.
 * @throws OriginRefusal
 */
export async function askOrigin<Q extends OriginQuestion>(
  services: Services,
  adapter: OriginAdapter,
  question: Q,
  accessKey = '',
): Promise<OriginReply<Q>> {
  const { request } = stepFor(adapter, question, accessKey)
  await takeCall(services, adapter)
  const answer = await fetchFrom(services, request)
  if (answer.status === 429) await blockCalls(services, adapter.callsAs, answer.retryAfter)
  const read = await readReply(services, adapter, question, answer)
  if ('refusal' in read) throw new OriginRefusal(read.refusal, read.retryAfter)
  return read.reply as OriginReply<Q>
}

/** Counts a call, or refuses it with the seconds to wait. */
async function takeCall({ db, now }: Services, { callsAs, limits }: OriginAdapter): Promise<void> {
  const at = now().getTime()
  await writing(db, async (trx) => {
    const calls = await originCalls(trx, callsAs)
    if (calls.blockedUntil > at) throw waiting(calls.blockedUntil - at)
    if (limits.callsAMinute === null) return
    const latest = calls.calledAt.filter((time) => time > at - MINUTE_MS)
    if (latest.length >= limits.callsAMinute) throw waiting(latest[0]! + MINUTE_MS - at)
    await storeOriginCalls(trx, callsAs, { calledAt: [...latest, at], blockedUntil: 0 })
  })
}

const waiting = (ms: number) => new OriginRefusal('tooMany', Math.ceil(ms / 1000))

async function blockCalls({ db, now }: Services, callsAs: string, retryAfter: string | null): Promise<void> {
  const seconds = Number(retryAfter)
  const ms = retryAfter !== null && seconds > 0 ? Math.min(seconds * 1000, MAX_HOST_WAIT_MS) : UNSAID_WAIT_MS
  await writing(db, async (trx) => {
    const calls = await originCalls(trx, callsAs)
    await storeOriginCalls(trx, callsAs, { ...calls, blockedUntil: now().getTime() + ms })
  })
}

async function fetchFrom(
  services: Services,
  { url, headers }: { url: string; headers?: Record<string, string> },
): Promise<OriginAnswer> {
  try {
    const { allowedHosts } = services
    const { body, ...answer } = await services.fetchOutside(url, {
      ...limits,
      allowedHosts,
      ...(headers && { headers }),
    })
    return { ...answer, body: decodeText(body, answer.contentType) }
  } catch (error) {
    if (error instanceof OutsideError) throw new OriginRefusal(refusals[error.failure])
    throw error
  }
}

const refusals: Record<FetchFailure, RefusalCode> = {
  address: 'unknown',
  private: 'private',
  unknownHost: 'unreachable',
  unreachable: 'unreachable',
  slow: 'slow',
  tooLarge: 'tooLarge',
  redirects: 'redirects',
  status: 'broken',
  wrongKind: 'unreadable',
}

async function readReply(
  services: Services,
  { origin, matching = null }: OriginAdapter,
  question: OriginQuestion,
  answer: OriginAnswer,
): Promise<ReadReply> {
  const input = { origin, matching, question, answer }
  try {
    return await services.workers.run('readOrigin', input)
  } catch (error) {
    if (error instanceof TaskExhausted) return { refusal: 'complex', retryAfter: null }
    throw error
  }
}

/** Reads an answer, in a thread: anything can stand at an address that a person typed. */
export async function readOriginTask(
  { origins }: Pick<Services, 'origins'>,
  { question, answer, ...of }: Tasks['readOrigin']['input'],
): Promise<ReadReply> {
  try {
    const adapter = adapterFor(origins, { ...of, externalId: '' })!
    return { reply: stepFor(adapter, question, '').read(answer) }
  } catch (error) {
    if (error instanceof OriginRefusal) return { refusal: error.code, retryAfter: error.retryAfter }
    throw error
  }
}
