import { asMember } from '../core/moderation/actor'
import { createServer } from 'node:http'
import { performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'
import { actOnListing } from '../server/listing/changeListing'
import { connectListing, type NewConnection } from '../server/listing/connectListing'
import { understand } from '../server/listing/understand'
import { findListing } from '../server/data/listings'
import { buildListingSites } from '../standins/listings/listingSites'
import { startListener } from '../tests/support/listener'
import { formToken, variedSentence } from '../tests/support/submissions'

/** The first reads of a listing and a sheet with 5,000 reviews each through the real listener, beside people who use it. */
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
const usual: Omit<NewConnection, 'origin' | 'id'> = {
  kind: 'listing',
  accessKey: '',
  languages: [],
  product: '',
  tag: '',
  arrivesAs: 'approved',
}
const sheet = `${host}/sheets/harbour.csv`
const understood = await understand(app.services, app.shop, sheet)
if (understood.kind !== 'described') throw new Error(understood.kind)
const { guess } = understood.described.business!.sheet!

await measure('a listing of 250 pages', { ...usual, origin: 'lanternway', id: 'LW5V0L5M0E' })
const publicId = await measure('a sheet', {
  ...usual,
  origin: 'page',
  id: sheet,
  matching: { ...guess, isDayFirst: true },
})
const again = performance.now()
await actOnListing(app.services, app.shop, asMember(app.member), publicId, 'check')
const before = (await listingOf(publicId)).checkedAt
while ((await listingOf(publicId)).checkedAt === before) await pause(5)
console.log(`the same sheet again: ${(performance.now() - again).toFixed(0)} ms`)

async function measure(what: string, connection: NewConnection): Promise<string> {
  const start = performance.now()
  const made = await connectListing(app.services, app.shop, connection)
  if (made.outcome === 'refused') throw new Error(made.refusal)
  const times: number[] = []
  while ((await listingOf(made.listing)).checkedAt === null) {
    times.push(await post())
    await pause(BETWEEN_MS)
  }
  const seconds = (performance.now() - start) / 1000
  const { found } = await listingOf(made.listing)
  console.log(
    `first read of ${what} with ${found!.stored} reviews: ${seconds.toFixed(1)} s (goal 60), ${Math.round(found!.stored / seconds)} a second`,
  )
  console.log(
    `a form’s POST meanwhile: p95 ${p95(times)} ms, longest ${Math.max(...times).toFixed(0)} ms (goal 100); quiet: p95 ${p95(quiet)} ms`,
  )
  return made.listing
}

async function listingOf(publicId: string) {
  return (await findListing(app.services.db, app.shop.id, { publicId }))!
}
await app.stop()
sites.closeAllConnections()
sites.close()
