import { insertProduct } from '../server/data/products'
import { monitorEventLoopDelay, performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'
import { Worker } from 'node:worker_threads'
import { insertIntake } from '../server/data/intakes'
import { Turns } from '../server/data/turns'
import { databaseFile } from '../server/dataFolder'
import { startListener } from '../tests/support/listener'
import { formToken, variedSentence } from '../tests/support/submissions'
import type { ReceiveThreadData } from './receiveThread'

/** The time of a form's POST through the real listener while a thread takes in reviews, beside a quiet time. */
const COUNT = Number(process.argv[2] ?? 100_000)
const QUIET_POSTS = 60
const BETWEEN_MS = 100

const turns = new Turns()
const app = await startListener({ ELOGIO_THROTTLE: 'off' }, { turns, workersFor: undefined as never })
const { db, newId } = app.services
for (let i = 1; i <= 18; i++)
  await insertProduct(db, app.shop.id, `p${i}`, { sku: `SKU-${i}`, title: `Product ${i}` })
const intake = await insertIntake(db, {
  shopId: app.shop.id,
  publicId: newId(),
  source: 'manualEntry',
  origin: 'generator',
  memberId: app.member.id,
  createdAt: app.services.now().toISOString(),
})

let sent = 0
async function post(): Promise<number> {
  const token = await formToken(app.url, 'wrenfield')
  sent++
  const body = new URLSearchParams({
    rating: '5',
    body: variedSentence(sent),
    author_name: `Writer ${sent}`,
    author_email: `writer${sent}@post.example`,
    token,
  })
  const start = performance.now()
  const answer = await fetch(`${app.url}/f/wrenfield`, {
    method: 'POST',
    headers: { Accept: 'application/json' },
    body,
  })
  if (answer.status !== 201) throw new Error(`answered ${answer.status}`)
  return performance.now() - start
}

const p95 = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)]!.toFixed(0)
const quiet: number[] = []
for (let i = 0; i < QUIET_POSTS; i++) {
  quiet.push(await post())
  await pause(BETWEEN_MS)
}
const data: ReceiveThreadData = {
  file: databaseFile(app.dataFolder),
  turns: turns.shared,
  intake: intake.publicId,
  count: COUNT,
}
const delay = monitorEventLoopDelay({ resolution: 5 })
delay.enable()
const start = performance.now()
let done = false
const worker = new Worker(new URL('./receiveThread.mjs', import.meta.url), { workerData: data })
worker.on('message', (message) => (done = message === 'done'))
worker.on('error', (error) => {
  throw error
})
const times: number[] = []
let memory = 0
while (!done) {
  times.push(await post())
  memory = Math.max(memory, process.memoryUsage().rss)
  await pause(BETWEEN_MS)
}
const seconds = (performance.now() - start) / 1000
console.log(
  `${COUNT.toLocaleString('en')} reviews taken in beside ${times.length} submissions: ${seconds.toFixed(0)} s, ${Math.round(COUNT / seconds)} a second; memory at most ${Math.round(memory / 1e6)} MB`,
)
console.log(
  `a form’s POST meanwhile: p95 ${p95(times)} ms, longest ${Math.max(...times).toFixed(0)} ms (goal 100 ms); quiet: p95 ${p95(quiet)} ms`,
)
console.log(
  `event loop delayed meanwhile: p99 ${(delay.percentile(99) / 1e6).toFixed(0)} ms, at most ${(delay.max / 1e6).toFixed(0)} ms`,
)
await app.stop()
