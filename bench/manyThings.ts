import { performance } from 'node:perf_hooks'
import { startApplication } from '../server/application'
import { readConfig } from '../server/config'
import { hashPassword } from '../server/account/password'
import { silentLog } from '../server/log'
import { signedIn } from '../tests/support/signedIn'
import { manyThings, shareOf } from './amounts'
import { filledShop } from './filledShop'
import { pagesOfShop, untilRendered } from './pagesOfShop'

/**
 * Every page of a member and every public address of a shop with many things: the time until its last byte and its
 * size, and the statements that took the main thread longest. `npm run bench:things [SHARE] [REVIEWS]`; a share of 0.1
 * fills a tenth.
 */
const [share = 1, reviews = 100_000] = process.argv.slice(2).map(Number)
const ROUNDS = 20

const amounts = shareOf(manyThings, share)
const { folder, services: filling, shop } = await filledShop(Math.round(reviews * share), amounts)
await filling.db('member').update({ password_hash: await hashPassword(filling, 'Mara-secret'), name: 'Mara' })
await filling.db('shop').update({ site_url: 'https://bench.example/' })
await filling.db.destroy()

const application = await startApplication(
  readConfig({ PORT: '0', ELOGIO_DATA: folder, PUBLIC_URL: 'http://localhost', ELOGIO_THROTTLE: 'off' }),
  silentLog,
)
const { services, port } = application
const url = `http://localhost:${port}`
const begun = new Map<string, number>()
let slowest: { ms: number; sql: string }[] = []
services.db.on('query', ({ __knexQueryUid: id }: { __knexQueryUid: string }) =>
  begun.set(id, performance.now()),
)
services.db.on(
  'query-response',
  (_: unknown, { __knexQueryUid: id, sql }: { __knexQueryUid: string; sql: string }) => {
    const ms = performance.now() - (begun.get(id) ?? Infinity)
    begun.delete(id)
    slowest.push({ ms, sql })
  },
)
await untilRendered(services)
const member = await signedIn({ url }, { name: 'Mara', email: 'mara@bench.example' })
const pages = pagesOfShop(shop.slug)
console.log(`${shop.slug}: ${JSON.stringify(amounts)}, ${Math.round(reviews * share)} reviews`)
// The first requests of a process pay for its compiling.
for (const page of pages) await member.get(page).then((answer) => answer.arrayBuffer())
for (const page of pages) {
  const times: number[] = []
  let [status, bytes] = [0, 0]
  slowest = []
  for (let i = 0; i < ROUNDS + 2; i++) {
    const start = performance.now()
    const answer = await member.get(page)
    bytes = (await answer.arrayBuffer()).byteLength
    status = answer.status
    if (i >= 2) times.push(performance.now() - start)
  }
  const p95 = times.toSorted((a, b) => a - b)[Math.floor(ROUNDS * 0.95) - 1]!
  const worst = slowest.toSorted((a, b) => b.ms - a.ms)[0]
  console.log(
    `${p95 > 100 || bytes > 200_000 || (worst?.ms ?? 0) > 50 ? '!' : ' '} ${String(status)} ${p95.toFixed(0).padStart(6)} ms ${(bytes / 1000).toFixed(0).padStart(6)} kB  ${page}` +
      (worst && worst.ms > 20 ? `\n      ${worst.ms.toFixed(0)} ms: ${worst.sql.slice(0, 160)}` : ''),
  )
}
await application.stop()
process.exit(0)
