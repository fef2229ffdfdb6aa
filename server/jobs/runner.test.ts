import { beforeEach, describe, expect, test, vi } from 'vitest'
import type { Services } from '../services'
import { addShop, testServices } from '../../tests/support/shop'
import type { Shop } from '../data/shops'
import { jobsOfShop } from '../data/jobs'
import type { JobKind } from './job'
import { cancelJob, retryJob } from './manageJobs'
import { enqueue, releaseAll } from './queue'
import { startJobRunner, type JobRunner } from './runner'
import { eventually } from '../../tests/support/eventually'

let services: Services
let clock: { now: Date }
let shop: Shop
let jobs: JobRunner
beforeEach(async () => {
  ;({ services, clock } = await testServices({ stopJob: (id) => jobs.cancel(id) }))
  shop = await addShop(services, 'wrenfield', [])
})
const ask = (key = 'work:1', kind = 'work', payload: Record<string, unknown> = {}) =>
  services.db.transaction((trx) =>
    enqueue(trx, { shopId: shop.id, kind, uniqueKey: key, payload, dueAt: clock.now.toISOString() }),
  )
const kind = (run: JobKind['run'], more: Partial<JobKind> = {}): JobKind => ({
  atOnce: 1,
  tries: 3,
  quietMs: 60_000,
  run,
  ...more,
})
const start = (work: JobKind, other = kind(async () => undefined)) =>
  (jobs = startJobRunner(services, { work, other }))
const rows = () => services.db('job').orderBy('id').select('kind', 'state', 'error', 'attempts')
const later = (ms: number) => (clock.now = new Date(clock.now.getTime() + ms))
const done = () => vi.fn<JobKind['run']>(async () => undefined)

/** Work that a test ends. */
function heldUp() {
  const begun: { end: () => void; signal: AbortSignal }[] = []
  const run: JobKind['run'] = (_job, { signal }) =>
    new Promise((resolve, reject) => {
      begun.push({ end: () => resolve({ rows: 3 }), signal })
      signal.addEventListener('abort', () => reject(new Error('aborted')))
    })
  return { begun, run }
}
const until = (met: () => boolean) => eventually(() => expect(met()).toBe(true))

test('work under one key is done once, however often it was asked for', async () => {
  const work = done()
  await ask()
  await ask()
  await start(kind(work)).drain()
  await jobs.stop()
  expect(work).toHaveBeenCalledTimes(1)
  expect(await rows()).toEqual([])
})

test('asked for again while it is being done, it is done once more, as it was asked for last', async () => {
  const work = vi.fn<JobKind['run']>(async () => {
    if (work.mock.calls.length === 1) await ask('work:1', 'work', { back: true })
    return undefined
  })
  await ask('work:1', 'work', { back: false })
  await start(kind(work)).drain()
  await jobs.stop()
  expect(work.mock.calls.map(([{ payload }]) => payload)).toEqual([{ back: false }, { back: true }])
})

test('what fails is tried again after growing waits, and in the end kept with its reason until somebody asks again', async () => {
  const fails = vi.fn<JobKind['run']>(async () => {
    throw new Error('no paper')
  })
  await ask()
  await start(kind(fails)).drain()
  const due = async () => (await services.db('job').first<{ due_at: string }>('due_at')).due_at
  expect(await due()).toBe('2026-11-25T12:00:02.000Z')
  await jobs.drain()
  expect(fails).toHaveBeenCalledTimes(1)
  later(2000)
  await jobs.drain()
  expect(await due()).toBe('2026-11-25T12:00:06.000Z')
  later(4000)
  await jobs.drain()
  expect(await rows()).toEqual([{ kind: 'work', state: 'failed', error: 'Error: no paper', attempts: 3 }])
  later(3_600_000)
  await jobs.drain()
  expect(fails).toHaveBeenCalledTimes(3)

  fails.mockResolvedValue(undefined)
  const [line] = await jobsOfShop(services.db, shop.id, 5)
  expect(await retryJob(services, shop, line!.id)).toBe(true)
  await jobs.drain()
  await jobs.stop()
  expect(await rows()).toEqual([])
})

describe('a job that was being done when the power went', () => {
  beforeEach(async () => {
    await ask()
    await services
      .db('job')
      .update({ state: 'running', leased_until: '2026-11-25T12:00:30.000Z', attempts: 1 })
  })
  test('is done after its lease', async () => {
    const work = done()
    await start(kind(work)).drain()
    expect(work).not.toHaveBeenCalled()
    clock.now = new Date('2026-11-25T12:00:31Z')
    await jobs.drain()
    await jobs.stop()
    expect(work).toHaveBeenCalledTimes(1)
  })
  test('is done at the next start, which knows that nobody else does it', async () => {
    const work = done()
    await releaseAll(services.db)
    await start(kind(work)).drain()
    await jobs.stop()
    expect(work).toHaveBeenCalledTimes(1)
  })
})

test('each kind has as many at a time as it says, and a long one holds up no other', async () => {
  const { begun, run } = heldUp()
  const other = done()
  for (const key of ['a', 'b', 'c']) await ask(key)
  await ask('d', 'other')
  start(kind(run, { atOnce: 2 }), kind(other))
  await until(() => begun.length === 2 && other.mock.calls.length === 1)
  expect((await rows()).map(({ state }) => state)).toEqual(['running', 'running', 'due'])
  begun[0]!.end()
  await until(() => begun.length === 3)
  for (const { end } of begun) end()
  await jobs.drain()
  await jobs.stop()
})

test('a lease is renewed as long as the work goes on, and progress is there to be read', async () => {
  let said: () => Promise<void> = async () => undefined
  const { begun, run } = heldUp()
  await ask()
  start(
    kind(
      (job, control) => {
        said = () => control.progress(40, 100)
        return run(job, control)
      },
      { kept: true },
    ),
  )
  await until(() => begun.length === 1)
  await said()
  const leasedUntil = async () =>
    (await services.db('job').first<{ leased_until: string }>('leased_until')).leased_until
  const first = await leasedUntil()
  later(50_000)
  await eventually(async () => expect((await leasedUntil()) > first).toBe(true))
  expect(await jobsOfShop(services.db, shop.id, 5)).toMatchObject([
    { state: 'running', done: 40, total: 100 },
  ])
  begun[0]!.end()
  await jobs.drain()
  await jobs.stop()
  expect(await jobsOfShop(services.db, shop.id, 5)).toMatchObject([{ state: 'done', result: { rows: 3 } }])
})

test('cancelled before or while it is done, it ends and stays ended; stopping the application ends none', async () => {
  const { begun, run } = heldUp()
  await ask('a', 'importOrders')
  await ask('b', 'importOrders')
  await ask('c', 'other')
  // What nobody may cancel stays, whatever is posted.
  const { id } = await services.db('job').orderBy('id', 'desc').first<{ id: number }>('id')
  expect(await cancelJob(services, shop, id)).toBe(false)
  await services.db('job').where({ id }).delete()
  jobs = startJobRunner(services, { importOrders: kind(run, { kept: true }) })
  await until(() => begun.length === 1)
  const [waiting, running] = (await services.db('job').orderBy('id', 'desc').pluck('id')) as number[]
  expect(await cancelJob(services, shop, waiting!)).toBe(true)
  expect(await cancelJob(services, shop, running!)).toBe(true)
  await jobs.drain()
  expect((await rows()).map(({ state }) => state)).toEqual(['cancelled', 'cancelled'])
  expect(await cancelJob(services, shop, running!)).toBe(false)
  expect(await cancelJob(services, { ...shop, id: shop.id + 1 }, waiting!)).toBe(false)

  await retryJob(services, shop, running!)
  await until(() => begun.length === 2)
  await jobs.stop()
  expect((await rows())[0]).toMatchObject({ state: 'due', attempts: 0, error: null })
})

test('a recurring job is a row without a shop, done at its interval, and after a failure no later than that', async () => {
  const work = vi.fn<JobKind['run']>(async () => undefined)
  const everyMs = 60_000
  await start(kind(work, { everyMs })).drain()
  expect(work).toHaveBeenCalledTimes(1)
  expect(await services.db('job').select('shop_id', 'state', 'due_at')).toEqual([
    { shop_id: null, state: 'due', due_at: '2026-11-25T12:01:00.000Z' },
  ])
  work.mockRejectedValueOnce(new Error('no room'))
  later(60_000)
  await jobs.drain()
  expect(await rows()).toMatchObject([{ state: 'due', error: 'Error: no room' }])
  later(2000)
  await jobs.drain()
  expect(work).toHaveBeenCalledTimes(3)
  expect(await rows()).toMatchObject([{ state: 'due', error: null, attempts: 0 }])
  // A clock that is set back delays it by no more than its interval.
  later(-24 * 3_600_000)
  await jobs.drain()
  later(everyMs)
  await jobs.drain()
  expect(work).toHaveBeenCalledTimes(4)
  await jobs.stop()
})

test('busy for long is not stuck; silent for longer than a kind may be is ended, and then said', async () => {
  let speak: () => Promise<void> = async () => undefined
  const deaf: JobKind['run'] = (_job, control) => {
    speak = () => control.progress(1, 2)
    return new Promise(() => undefined)
  }
  await ask()
  start(kind(deaf, { quietMs: 60_000 }))
  await until(() => jobs.state().running === 1)
  later(59_000)
  await speak()
  later(59_000)
  jobs.check()
  await eventually(() => expect(jobs.state()).toEqual({ running: 1, stuck: [] }))
  later(40_000)
  await eventually(() => expect(jobs.state()).toEqual({ running: 1, stuck: ['work'] }))
})
