import { fork, type ChildProcess } from 'node:child_process'
import { Agent, request, type IncomingMessage } from 'node:http'
import { performance } from 'node:perf_hooks'
import { hashPassword } from '../server/account/password'
import { freePort } from '../tests/support/application'
import { signedIn, type SignedIn } from '../tests/support/signedIn'
import { manyThings } from './amounts'
import { filledShop } from './filledShop'

/**
 * Many open tabs while an owner decides once a second: the times of the decisions and of visitors, and the memory after
 * a forced collection before and afterwards. `npm run bench:tabs [DECIDE] [EDITORS] [SECONDS]`; a tab makes the same
 * requests as a browser's.
 */
const [decideTabs = 500, editorTabs = 200, seconds = 60] = process.argv.slice(2).map(Number)
const REVIEWS = 20_000
const TABS_PER_SESSION = 30
const VISITS_PER_SECOND = 10

const { folder, services, shop, close } = await filledShop(REVIEWS, { ...manyThings, orders: 0, forms: 20 })
await services
  .db('member')
  .update({ password_hash: await hashPassword(services, 'Mara-secret'), name: 'Mara' })
const decided = await services
  .db('review')
  .where({ shop_id: shop.id, state: 'waiting' })
  .orderBy('id')
  .limit(seconds)
  .select<{ id: string; revision: number }[]>({ id: 'public_id', revision: 'revision' })
await services.db.destroy()
const port = await freePort()
const url = `http://localhost:${port}`
const application = fork('bench/withMemory.mjs', {
  execArgv: ['--expose-gc'],
  env: {
    ...process.env,
    NODE_ENV: 'production',
    PORT: String(port),
    PUBLIC_URL: url,
    ELOGIO_DATA: folder,
    ELOGIO_THROTTLE: 'off',
    LOG_LEVEL: 'error',
  },
})
const agent = new Agent({ keepAlive: true, maxSockets: Infinity })
const streams: IncomingMessage[] = []
let reloads = 0
try {
  while (!(await fetch(`${url}/healthz`).catch(() => null))?.ok) await pause(50)
  // What the start has to do: all displays are rendered again.
  await pause(20_000)
  const members: SignedIn[] = []
  for (let i = 0; i < Math.ceil((decideTabs + editorTabs) / TABS_PER_SESSION); i++)
    members.push(await signedIn({ url }, { name: 'Mara', email: 'mara@bench.example' }))
  const own = `/s/${shop.slug}`
  // Reads each page once, so that only what the tabs add is measured.
  for (let i = 0; i < 20; i++)
    await members[0]!.get(`${own}/decide.data`).then((answer) => answer.arrayBuffer())
  const before = await memory(application)
  for (let i = 0; i < decideTabs + editorTabs; i++) {
    const { cookie } = members[Math.floor(i / TABS_PER_SESSION)]!
    const isEditor = i >= decideTabs
    await openTab(
      cookie,
      `${own}/changes${isEditor ? '?without=reviews' : ''}`,
      isEditor ? `${own}/show/display${i % 300}.data` : `${own}/decide.data`,
    )
  }
  const quiet = await visitors(5)
  const visiting = visitors(seconds)
  const decisions: number[] = []
  for (const { id, revision } of decided) {
    const begun = performance.now()
    const answer = await members[0]!.post(`${own}/decide/${id}.data`, {
      act: '{"kind":"approve"}',
      revision: String(revision),
    })
    await answer.arrayBuffer()
    if (answer.status >= 400) throw new Error(`a decision: ${answer.status}`)
    decisions.push(performance.now() - begun)
    await pause(Math.max(0, 1000 - decisions.at(-1)!))
  }
  const visits = await visiting
  console.log(
    `${decideTabs} tabs of Decide, ${editorTabs} of the editor, ${REVIEWS.toLocaleString('en')} reviews`,
  )
  console.log(
    `${decisions.length} decisions: p50 ${part(decisions, 0.5)} ms, p95 ${part(decisions, 0.95)} ms (goal 150 ms)`,
  )
  console.log(
    `${visits.length} displays for visitors: p50 ${part(visits, 0.5)} ms, p99 ${part(visits, 0.99)} ms (goal 50 ms; without decisions ${part(quiet, 0.99)} ms)`,
  )
  console.log(`${reloads} reloads of tabs`)
  for (const stream of streams) stream.destroy()
  await pause(5000)
  const after = await memory(application)
  console.log(
    `memory after a collection: ${mb(before)} MB before, ${mb(after)} MB afterwards (${Math.round((after / before - 1) * 100)} %)`,
  )
} finally {
  application.kill('SIGTERM')
  agent.destroy()
  await close().catch(() => undefined)
}
process.exit(0)

function pause(ms: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, ms))
}

/** Listens for changes, and loads the page again after each, one at a time, as a tab does. */
function openTab(cookie: string, changes: string, page: string): Promise<void> {
  let [loading, again] = [false, false]
  async function load(): Promise<void> {
    if (loading) {
      again = true
      return
    }
    loading = true
    await read('/healthz', cookie)
    await read(page, cookie)
    reloads++
    loading = false
    if (!again) return
    again = false
    await load()
  }
  return new Promise((resolve, reject) => {
    request(url + changes, { headers: { Cookie: cookie } }, (stream) => {
      streams.push(stream)
      stream.setEncoding('utf8').on('data', (text: string) => {
        if (text.includes('data: changed')) void load().catch(() => undefined)
        resolve()
      })
      stream.on('error', () => undefined)
    })
      .on('error', reject)
      .end()
  })
}

function read(path: string, cookie = ''): Promise<number> {
  const begun = performance.now()
  return new Promise((resolve, reject) => {
    request(url + path, { agent, headers: { Cookie: cookie } }, (answer) => {
      answer.resume().on('end', () => resolve(performance.now() - begun))
    })
      .on('error', reject)
      .end()
  })
}

/** The times of visitors' displays, at a constant rate. */
async function visitors(forSeconds: number): Promise<number[]> {
  const visits: Promise<number>[] = []
  for (let i = 0; i < forSeconds * VISITS_PER_SECOND; i++) {
    visits.push(read(`/d/display${i % 300}.json`))
    await pause(1000 / VISITS_PER_SECOND)
  }
  return Promise.all(visits)
}

function memory(child: ChildProcess): Promise<number> {
  return new Promise((resolve) => {
    child.once('message', (bytes) => resolve(Number(bytes)))
    child.send('memory')
  })
}

function part(times: number[], share: number): string {
  return times.toSorted((a, b) => a - b)[Math.ceil(times.length * share) - 1]!.toFixed(0)
}

function mb(bytes: number): string {
  return (bytes / 1_000_000).toFixed(0)
}
