import { beforeEach, expect, test, vi } from 'vitest'
import type { Services } from '../services'
import { addShop, testServices } from '../../tests/support/shop'
import { enqueue } from './queue'
import { startJobRunner, type Work } from './runner'

let services: Services
let clock: { now: Date }
let shopId: number
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  shopId = (await addShop(services, 'wrenfield', [])).id
})
const ask = () =>
  services.db.transaction((trx) =>
    enqueue(trx, { shopId, kind: 'work', uniqueKey: 'work:1', payload: {}, dueAt: clock.now.toISOString() }),
  )
async function running(work: Work) {
  const jobs = startJobRunner(services, { work })
  await jobs.drain()
  return jobs
}

test('work under one key is done once, however often it was asked for', async () => {
  const done = vi.fn<Work>(async () => undefined)
  await ask()
  await ask()
  const jobs = await running(done)
  await jobs.stop()
  expect(done).toHaveBeenCalledTimes(1)
  expect(await services.db('job')).toEqual([])
})

test('asked for again while it is being done, it is done once more', async () => {
  const done = vi.fn<Work>(async () => {
    if (done.mock.calls.length === 1) await ask()
  })
  await ask()
  const jobs = await running(done)
  await jobs.stop()
  expect(done).toHaveBeenCalledTimes(2)
})

test('what fails is kept with its reason and tried again after growing waits', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const fails = vi.fn<Work>(async () => {
    throw new Error('no paper')
  })
  await ask()
  const jobs = await running(fails)
  const due = () => services.db('job').first<{ due_at: string; error: string }>('due_at', 'error')
  expect(await due()).toEqual({ due_at: '2026-11-25T12:00:02.000Z', error: 'Error: no paper' })
  await jobs.drain()
  expect(fails).toHaveBeenCalledTimes(1)
  clock.now = new Date(clock.now.getTime() + 2000)
  await jobs.drain()
  expect(fails).toHaveBeenCalledTimes(2)
  expect((await due()).due_at).toBe('2026-11-25T12:00:06.000Z')
  await jobs.stop()
})

test('a job that was being done when the power went is done after its lease', async () => {
  await ask()
  await services.db('job').update({ leased_until: '2026-11-25T12:00:30.000Z', attempts: 1 })
  const done = vi.fn<Work>(async () => undefined)
  const jobs = await running(done)
  expect(done).not.toHaveBeenCalled()
  clock.now = new Date('2026-11-25T12:00:31Z')
  await jobs.drain()
  await jobs.stop()
  expect(done).toHaveBeenCalledTimes(1)
})
