import { createServer } from 'node:http'
import { performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'
import { connectListing } from '../server/listing/connectListing'
import { findListing } from '../server/data/listings'
import { buildListingSites } from '../standins/listings/listingSites'
import { startListener } from '../tests/support/listener'
import { formToken, variedSentence } from '../tests/support/submissions'

/** The first read of a listing with 5,000 reviews through the real listener, beside people who use it. */
const BETWEEN_MS = 100
const QUIET_POSTS = 40

const sites = createServer((req, res) => {
  const { pathname, searchParams } = new URL(req.url ?? '/', 'http://localhost')
  const { reply } = built.answer({ method: 'GET', path: pathname, query: searchParams, headers: {} })!
  res.writeHead(reply.status, reply.headers).end(reply.body)
})
await new Promise<void>((resolve) => sites.listen(0, resolve))
const { port } = sites.address() as { port: number }
const host = `http://localhost:${port}`
const built = buildListingSites(host, () => new Date())
const app = await startListener(
  { ELOGIO_THROTTLE: 'off', ELOGIO_SITES: host, ELOGIO_ALLOW_HOSTS: `localhost:${port}` },
  { workersFor: undefined as never, now: () => new Date() },
)

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
  await fetch(`${app.url}/f/wrenfield`, { method: 'POST', headers: { Accept: 'application/json' }, body })
  return performance.now() - start
}

const p95 = (times: number[]) => times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95)]!.toFixed(0)
const quiet: number[] = []
for (let i = 0; i < QUIET_POSTS; i++) {
  quiet.push(await post())
  await pause(BETWEEN_MS)
}
const start = performance.now()
const made = await connectListing(app.services, app.shop, {
  origin: 'lanternway',
  kind: 'listing',
  id: 'LW5V0L5M0E',
  accessKey: '',
  languages: [],
  product: '',
  tag: '',
  arrivesAs: 'approved',
})
if (made.outcome === 'refused') throw new Error(made.refusal)
const times: number[] = []
const listing = () => findListing(app.services.db, app.shop.id, { publicId: made.listing })
while ((await listing())!.checkedAt === null) {
  times.push(await post())
  await pause(BETWEEN_MS)
}
const seconds = (performance.now() - start) / 1000
const { found } = (await listing())!
console.log(
  `first read of ${found!.stored} reviews in 250 pages: ${seconds.toFixed(1)} s (goal 60), ${Math.round(found!.stored / seconds)} a second`,
)
console.log(
  `a form’s POST meanwhile: p95 ${p95(times)} ms, longest ${Math.max(...times).toFixed(0)} ms (goal 100); quiet: p95 ${p95(quiet)} ms`,
)
await app.stop()
sites.closeAllConnections()
sites.close()
