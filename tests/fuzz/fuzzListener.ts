import { readFileSync } from 'node:fs'
import { connect } from 'node:net'
import { openDatabase } from '../../server/data/database'
import { databaseFile } from '../../server/dataFolder'
import type { Running } from '../support/application'
import type { Random } from './random'
import { fuzzedRequest, type Target } from './requests'

const AT_ONCE = 8
const MAX_ANSWER_MS = 8000

export interface FuzzReport {
  /** Answers by status; 0 was closed without one. */
  statuses: Record<number, number>
  /** Requests that were answered with 500, or not in time, with what was sent. */
  failures: string[]
  /** How long a visitor waited for a display meanwhile, in milliseconds. */
  visitor: { p50: number; p99: number; longest: number }
  /** What nothing else has caught, as `/healthz` counts it. */
  faults: number
  /** Resident memory of the application before and after, in MB. */
  memory: { before: number; after: number }
}

/** Sends fuzzed requests to a running application, while a visitor reads a display from it. */
export async function fuzzListener(running: Running, random: Random, count: number): Promise<FuzzReport> {
  const target = await targetIn(running)
  const port = Number(new URL(running.url).port)
  const before = residentMb(running.pid())
  const report: FuzzReport = {
    statuses: {},
    failures: [],
    visitor: { p50: 0, p99: 0, longest: 0 },
    faults: 0,
    memory: { before, after: before },
  }
  let left = count
  const waits: number[] = []
  const visiting = visitUntil(running, target, waits, () => left <= 0)
  const worker = async () => {
    while (left-- > 0) {
      const bytes = fuzzedRequest(target, random)
      const status = await sendAndHangUp(port, bytes)
      report.statuses[status ?? -1] = (report.statuses[status ?? -1] ?? 0) + 1
      if (status === null || (status >= 500 && status !== 503))
        report.failures.push(
          `${status ?? 'no answer'}: ${JSON.stringify(bytes.toString('latin1').slice(0, 1500))}`,
        )
    }
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  await visiting
  waits.sort((a, b) => a - b)
  const at = (share: number) => Math.round(waits[Math.floor((waits.length - 1) * share)]! * 10) / 10
  report.visitor = { p50: at(0.5), p99: at(0.99), longest: at(1) }
  report.faults = ((await (await fetch(`${running.url}/healthz`)).json()) as { faults: number }).faults
  report.memory.after = residentMb(running.pid())
  return report
}

async function targetIn({ url, dataFolder }: Running): Promise<Target> {
  const answer = await fetch(`${url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ email: 'mara@elogio.example', password: 'Mara-secret' }),
  })
  const cookie = answer.headers.getSetCookie()[0]!.split(';')[0]!
  const db = await openDatabase(databaseFile(dataFolder))
  const { id } = await db('review').first<{ id: string }>({ id: 'public_id' })
  await db.destroy()
  return { cookie, slug: 'wrenfield', display: 'wrenfield-page', review: id }
}

/** A visitor who reads the display again and again; pushes how long each time took. */
async function visitUntil(
  { url }: Running,
  { display }: Target,
  waits: number[],
  over: () => boolean,
): Promise<void> {
  while (!over()) {
    const begun = performance.now()
    await (await fetch(`${url}/d/${display}.json`)).text()
    waits.push(performance.now() - begun)
    await new Promise((resolve) => setTimeout(resolve, 2))
  }
}

/** Sends bytes, hangs up and answers the status that came: 0 when it was closed without one, null when it was not closed. */
function sendAndHangUp(port: number, bytes: Buffer): Promise<number | null> {
  return new Promise((resolve) => {
    let head = ''
    const socket = connect({ port, host: '127.0.0.1', allowHalfOpen: true })
    const done = (late: boolean) => {
      clearTimeout(timer)
      socket.destroy()
      const status = Number(/^HTTP\/1\.1 (\d{3})/.exec(head)?.[1] ?? 0)
      // A stream of events goes on until it is hung up.
      resolve(late && !/text\/event-stream/i.test(head) ? null : status)
    }
    const timer = setTimeout(() => done(true), MAX_ANSWER_MS)
    socket.on('data', (part: Buffer) => {
      if (head.length < 4000) head += part.toString('latin1')
    })
    socket.on('close', () => done(false))
    socket.on('end', () => done(false))
    socket.on('error', () => done(false))
    socket.end(bytes)
  })
}

const residentMb = (pid: number) =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1000)
