import { plainAct } from '../core/moderation/reviewAct'
import { expect, test, vi } from 'vitest'
import { addMember, addShop, send, testServices } from '../tests/support/shop'
import { buildChanges } from './changes'
import { decide } from './moderation/decide'
import { undo } from './moderation/undo'
import { makeLive, saveDraft } from './publishing/draft'
import { startingConfiguration } from '../core/display/startingConfiguration'

test('whoever listens to a shop hears of it and of no other, until they stop', () => {
  const changes = buildChanges()
  const [here, elsewhere] = [vi.fn(), vi.fn()]
  const stop = changes.listen(1, here)
  changes.listen(2, elsewhere)
  changes.announce(1)
  stop()
  changes.announce(1)
  expect([here.mock.calls.length, elsewhere.mock.calls.length]).toEqual([1, 0])
})

test('many listeners are called one after the other, and once for several changes', () => {
  vi.useFakeTimers()
  try {
    const changes = buildChanges({ burst: 3, spacingMs: 100 })
    const heard = Array.from({ length: 8 }, () => vi.fn())
    const stops = heard.map((one) => changes.listen(1, one))
    const calls = () => heard.map((one) => one.mock.calls.length)
    changes.announce(1)
    changes.announce(1)
    expect(calls()).toEqual([1, 1, 1, 0, 0, 0, 0, 0])
    stops[4]!()
    vi.advanceTimersByTime(250)
    expect(calls()).toEqual([1, 1, 1, 1, 0, 1, 0, 0])
    vi.advanceTimersByTime(5000)
    // The first three have heard of the second change too.
    expect(calls()).toEqual([2, 2, 2, 1, 0, 1, 1, 1])
    for (const stop of stops) stop()
    expect(vi.getTimerCount()).toBe(0)
  } finally {
    vi.useRealTimers()
  }
})

test('a listener that leaves out reviews hears of everything else', () => {
  const changes = buildChanges()
  const heard = vi.fn()
  changes.listen(1, heard, { without: 'reviews' })
  changes.announce(1, 'reviews')
  expect(heard).not.toHaveBeenCalled()
  changes.announce(1)
  expect(heard).toHaveBeenCalledOnce()
})

test('a tab that made a change knows it already; others hear of it', () => {
  const changes = buildChanges()
  const [own, other, none] = [vi.fn(), vi.fn(), vi.fn()]
  changes.listen(1, own, { tab: 'mine' })
  changes.listen(1, other, { tab: 'yours' })
  changes.listen(1, none)
  changes.announce(1, 'shop', 'mine')
  expect([own, other, none].map(({ mock }) => mock.calls.length)).toEqual([0, 1, 1])
  // One that no tab made is told to all, also to those without a name.
  changes.announce(1)
  expect([own, other, none].map(({ mock }) => mock.calls.length)).toEqual([1, 2, 2])
})

test('an arrival, an act, an undo, a draft and a display made live are told, once each, when they are kept', async () => {
  const { services } = await testServices()
  const mara = await addMember(services, 'Mara')
  const shop = await addShop(services, 'wrenfield', [mara])
  const heard: number[] = []
  services.changes.listen(shop.id, () => heard.push(1))
  const { publicId } = await send(services, 'wrenfield')
  expect(heard).toHaveLength(1)
  await decide(services, shop, mara, publicId, plainAct('approve'), 1)
  expect(heard).toHaveLength(2)
  await undo(services, shop, mara)
  expect(heard).toHaveLength(3)
  await decide(services, shop, mara, publicId, plainAct('approve'), 1)
  expect(heard).toHaveLength(3)
  await saveDraft(services, shop, 'wrenfield-page', startingConfiguration)
  expect(heard).toHaveLength(4)
  await makeLive(services, shop, mara, 'wrenfield-page')
  expect(heard).toHaveLength(5)
})
