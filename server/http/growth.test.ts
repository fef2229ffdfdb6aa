import { afterAll, beforeAll, expect, test } from 'vitest'
import { manyThings, shareOf } from '../../bench/amounts'
import { filledShop } from '../../bench/filledShop'
import { pagesOfShop, untilRendered } from '../../bench/pagesOfShop'
import { signedIn, type SignedIn } from '../../tests/support/signedIn'
import { hashPassword } from '../account/password'
import { startApplication, type Application } from '../application'
import { readConfig } from '../config'
import { silentLog } from '../log'
import { inlineWorkers } from '../workers/inline'

/** As many reviews as a full shop has; a tenth of them are made here. */
const REVIEWS = 100_000
const TRIES = 20
/** What a page may cost more with ten times as much, in milliseconds of the processor. */
const MORE_MS = 25
/** A list that is full, where the small shop has a few rows. */
const MORE_BYTES = 60_000
const MOST_BYTES = 200_000

interface Filled {
  application: Application
  member: SignedIn
  remove: () => Promise<void>
}

async function fill(share: number): Promise<Filled> {
  const { folder, services, close } = await filledShop(REVIEWS * share, shareOf(manyThings, share))
  const argon = { memoryCost: 1024, timeCost: 1 }
  await services
    .db('member')
    .update({ password_hash: await hashPassword({ ...services, argon }, 'Mara-secret'), name: 'Mara' })
  await services.db.destroy()
  const application = await startApplication(
    readConfig({ PORT: '0', ELOGIO_DATA: folder, PUBLIC_URL: 'http://localhost', ELOGIO_THROTTLE: 'off' }),
    silentLog,
    { workersFor: inlineWorkers, argon },
  )
  await untilRendered(application.services)
  const member = await signedIn(
    { url: `http://localhost:${application.port}` },
    { name: 'Mara', email: 'mara@bench.example' },
  )
  return {
    application,
    member,
    remove: async () => {
      await application.stop()
      await close().catch(() => undefined)
    },
  }
}

let [few, many]: Filled[] = []
beforeAll(async () => {
  ;[few, many] = [await fill(0.01), await fill(0.1)]
})
afterAll(async () => {
  await few!.remove()
  await many!.remove()
})

async function cost({ member }: Filled, page: string): Promise<{ ms: number; bytes: number }> {
  const before = process.cpuUsage()
  const answer = await member.get(page)
  const bytes = (await answer.arrayBuffer()).byteLength
  expect(answer.status, page).toBeLessThan(400)
  const { user, system } = process.cpuUsage(before)
  return { ms: (user + system) / 1000, bytes }
}

test('no page and no public address grows with what a shop has', { timeout: 300_000 }, async () => {
  const grown: string[] = []
  for (const page of pagesOfShop('bench')) {
    await cost(few!, page)
    await cost(many!, page)
    let [least, lessThan] = [Infinity, Infinity]
    for (let i = 0; i < TRIES && !(least < 2 * lessThan + MORE_MS); i++) {
      lessThan = Math.min(lessThan, (await cost(few!, page)).ms)
      least = Math.min(least, (await cost(many!, page)).ms)
    }
    const [small, large] = [(await cost(few!, page)).bytes, (await cost(many!, page)).bytes]
    if (least >= 2 * lessThan + MORE_MS) grown.push(`${page}: ${lessThan} ms, then ${least} ms`)
    if (large > Math.min(MOST_BYTES, 1.5 * small + MORE_BYTES))
      grown.push(`${page}: ${small} bytes, then ${large}`)
  }
  expect(grown).toEqual([])
})
