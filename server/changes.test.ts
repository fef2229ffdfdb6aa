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
