import { beforeEach, expect, test } from 'vitest'
import { plainAct } from '../../core/moderation/reviewAct'
import { addMember, addShop, drainJobs, send, testServices, type TestMember } from '../../tests/support/shop'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'

import type { Services } from '../services'
import { holdNewcomers, latestAttack } from './attacks'
import { decide } from './decide'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const grudges = [
  'shame on them',
  'never again',
  'horrible people here',
  'rude and dear',
  'crooks, all of them',
]
let sent = 0
async function attacker(after = 4 * 60_000) {
  clock.now = new Date(clock.now.getTime() + after)
  sent++
  const { publicId } = await send(
    services,
    'wrenfield',
    {
      rating: 1,
      title: '',
      body: `${grudges[sent % 5]} ${sent}`,
      author_name: `Kim Oak ${sent}`,
      author_email: `zq${sent}77@post.example`,
    },
    { ip: '203.0.113.17' },
  )
  return publicId
}
const attack = () => latestAttack(services, shop)
const isHeldForIt = async (publicId: string) => {
  const { versionId } = (await findReview(services.db, shop.id, { publicId }))!
  return (await signalsOfVersion(services.db, shop.id, versionId)).some(({ kind }) => kind === 'burst')
}

test('an attack is shown with its members, what they share and its graph, until it is over and decided on', async () => {
  expect(await attack()).toBeNull()
  const ids: string[] = []
  for (let i = 0; i < 16; i++) ids.push(await attacker())
  await drainJobs(services)
  const found = (await attack())!
  expect(found.count).toBeGreaterThan(10)
  expect(found).toMatchObject({ isOver: false, holds: true, approved: 0 })
  expect(found.open).toBeGreaterThan(9)
  expect(found.shared).toContain('burst.address')
  expect(found.bars.reduce((sum, { members }) => sum + members, 0)).toBe(found.count)

  clock.now = new Date(clock.now.getTime() + 10 * 3_600_000)
  expect((await attack())!.isOver).toBe(true)
  for (const publicId of ids) {
    const { revision } = (await findReview(services.db, shop.id, { publicId }))!
    await decide(services, shop, mara, publicId, plainAct('spam'), revision)
  }
  expect(await attack()).toBeNull()
})

test('newcomers like these are held back unless somebody lets them through', async () => {
  for (let i = 0; i < 14; i++) await attacker()
  expect(await isHeldForIt(await attacker())).toBe(true)
  const { groupId } = (await attack())!
  await holdNewcomers(services, await addShop(services, 'saltmarsh', [mara]), groupId, false)
  expect((await attack())!.holds).toBe(true)
  await holdNewcomers(services, shop, groupId, false)
  expect((await attack())!.holds).toBe(false)
  expect(await isHeldForIt(await attacker())).toBe(false)
  await holdNewcomers(services, shop, groupId, true)
  expect(await isHeldForIt(await attacker())).toBe(true)
})
