import { afterEach, expect, test } from 'vitest'
import { startListener, type Listening } from '../../tests/support/listener'
import { send } from '../../tests/support/shop'
import { ordersView, importOrderFile } from '../proof/ordersUpload'
import { cancelJob, retryJob } from '../jobs/manageJobs'
import { eventually } from '../../tests/support/eventually'
import { databaseFile } from '../dataFolder'
import { Turns } from '../data/turns'
import { silentLog } from '../log'
import { buildThreads } from './threads'
import { TaskExhausted } from './workers'

/* Real threads, beside the real listener. */

let app: Listening
afterEach(() => app.stop())

const real = { workersFor: undefined as never }
const heading = 'number,email,name,product_sku,product_title,placed_at,delivered_at,status'
const LINES = 3000
const lines = (count: number) =>
  Array.from(
    { length: count },
    (_, i) => `B-${i},b${i}@post.example,Buyer ${i},SKU-${i % 40},,2026-03-02,,placed`,
  )
const latest = async () => (await ordersView(app.services, app.shop)).latest!
const state = async () => (await latest()).state
const until = (expected: string) => eventually(async () => expect(await state()).toBe(expected))
const orders = async () => (await ordersView(app.services, app.shop)).count

test('an import is cancelled and goes on, and a stop in the middle loses and doubles nothing', async () => {
  app = await startListener({}, real)
  const bytes = new TextEncoder().encode([heading, ...lines(LINES), 'X-1,,,,,soon,,placed'].join('\n'))
  await importOrderFile(app.services, app.shop, { name: 'orders.csv', bytes })
  await eventually(async () => expect(await orders()).toBeGreaterThan(200))
  await cancelJob(app.services, app.shop, (await latest()).id)
  await until('cancelled')
  const then = await latest()
  // What the report says is what is there; the shop had one order before.
  expect(await orders()).toBe(1 + then.report.newOrders)
  expect(then.report.newOrders).toBeLessThan(LINES)

  await retryJob(app.services, app.shop, then.id)
  await until('done')
  expect(await orders()).toBe(LINES + 1)
  expect((await latest()).report).toMatchObject({
    rows: LINES,
    newOrders: LINES,
    newLines: LINES,
    newProducts: 40,
    problemCount: 1,
    problems: [{ row: LINES + 1, field: 'placed_at' }],
  })
})

test('arrivals are compared in the thread that remembers them, and what it makes of them is stored', async () => {
  app = await startListener({}, real)
  const words =
    'These hives have changed the way our whole village thinks about honey, and about bees, for good.'
  const copies = async (i: number) => {
    const { publicId } = await send(app.services, 'wrenfield', {
      body: words,
      author_name: `Person ${i}`,
      author_email: `person${i}@village${i}.example`,
    })
    const kinds: string[] = await app.services
      .db('signal')
      .join('review_version', 'review_version.id', 'signal.version_id')
      .join('review', 'review.id', 'review_version.review_id')
      .where({ public_id: publicId })
      .pluck('kind')
    return kinds.includes('nearcopy')
  }
  expect([await copies(1), await copies(2)]).toEqual([false, true])
  expect(await app.services.db('fingerprint').pluck('review_id')).toHaveLength(2)
})

test('what takes too long is ended and refused, and the next is read', async () => {
  const styles = ['a{color:red}'.repeat(400_000)]
  app = await startListener()
  const { services, dataFolder } = app
  const nothing = () => undefined
  const workers = buildThreads(
    {
      ...services,
      databaseFile: databaseFile(dataFolder),
      sites: null,
      turns: new Turns(),
      log: silentLog,
      announce: nothing,
      wakeJobs: nothing,
      published: nothing,
    },
    () => 200,
  )
  await expect(workers.run('readStyles', { styles })).rejects.toBeInstanceOf(TaskExhausted)
  // Its thread starts anew, which takes longer than the deadline and does not count.
  expect(await workers.run('readStyles', { styles: ['a{color:red}'] })).toHaveLength(1)
  await workers.close()
})
