import { beforeEach, expect, test } from 'vitest'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import { HELD_FROM } from '../../core/moderation/rules'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import { lessonsOf } from '../data/lessons'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { decide } from './decide'
import { lessonsView, teachAgain, unteach } from './lessons'
import { reviewView } from './reviewView'
import { undo } from './undo'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const guild = [
  'The guild of dowsers finds the water veins under your house with the blue pendulum',
  'Let the guild of dowsers rid your bedroom of water veins for good',
  'A blue pendulum of the dowsers showed me the vein under my own bed at last',
]
const fourth = 'Blue pendulum and dowsers of the guild: we free whole houses from water veins'

async function arrives(body: string, slug = 'wrenfield', email = `writer${body.length}@post.example`) {
  clock.now = new Date(clock.now.getTime() + 60_000)
  const { publicId } = await send(services, slug, { body, author_email: email, author_name: 'Somebody Else' })
  const owner = slug === 'wrenfield' ? shop : await otherShop
  return (await findReview(services.db, owner.id, { publicId }))!
}
async function judge(publicId: string, act: Parameters<typeof plainAct>[0]): Promise<void> {
  const { revision } = (await findReview(services.db, shop.id, { publicId }))!
  const done: ReviewAct = plainAct(act)
  await decide(services, shop, mara, publicId, done, revision)
}
let otherShop: Promise<Shop>

test('three decisions on a new kind of spam catch the fourth, say so, and teach no other shop', async () => {
  otherShop = addShop(services, 'saltmarsh', [mara])
  await otherShop
  expect((await arrives(fourth, 'wrenfield', 'first@post.example')).score).toBeLessThan(HELD_FROM)
  for (const body of guild) await judge((await arrives(body)).publicId, 'spam')
  const caught = await arrives(fourth.replace('whole', 'all'))
  expect(caught.score).toBeGreaterThanOrEqual(HELD_FROM)
  const signals = await signalsOfVersion(services.db, shop.id, caught.versionId)
  expect(signals.find(({ kind }) => kind === 'wording')!.detail).toMatch(/wordingOwn/)
  expect((await arrives(fourth.replace('whole', 'old'), 'saltmarsh')).score).toBeLessThan(HELD_FROM)
  expect((await arrives('The soup was warm and the bread fresh, we will come again')).score).toBe(0)
})

test('undoing decisions unteaches exactly what they taught', async () => {
  const before = (await arrives(fourth, 'wrenfield', 'first@post.example')).score
  for (const body of guild) await judge((await arrives(body)).publicId, 'spam')
  for (let i = 0; i < 3; i++) await undo(services, shop, mara)
  const again = await arrives(fourth.replace('whole', 'all'))
  const own = (await signalsOfVersion(services.db, shop.id, again.versionId)).find(
    ({ kind }) => kind === 'wording',
  )
  expect(own?.points ?? 0).toBe(before)
})

test('declining teaches nothing about spam, and one sender’s mass no more than three', async () => {
  for (const body of guild) await judge((await arrives(body)).publicId, 'decline')
  expect((await services.wordingModels.of(shop.id)).untaught).toBe(null)
  const mass = []
  for (const thing of ['lamp', 'chair', 'kettle', 'honey', 'ladder', 'carpet'])
    mass.push(await arrives(`This ${thing} was a present and we are quite pleased with it`, 'wrenfield', 'mass@post.example')) // oxfmt-ignore
  for (const { publicId } of mass) await judge(publicId, 'spam')
  expect((await lessonsOf(services.db, shop.id)).length).toBe(3)
})

/** Whether a new review gets points from what the shop taught. */
async function ownPoints(body: string): Promise<boolean> {
  const signals = await signalsOfVersion(services.db, shop.id, (await arrives(body)).versionId)
  return signals.some(({ detail }) => detail.includes('wordingOwn'))
}

test('a lesson can be taken away and given back, alone, with all of its sender’s, and all together', async () => {
  for (const body of guild) await judge((await arrives(body)).publicId, 'spam')
  const { taught } = await lessonsView(services, shop)
  expect(taught.map(({ body, verdict }) => [body, verdict])).toEqual(
    guild.toReversed().map((body) => [body, 'spam']),
  )
  const caught = await arrives(fourth)
  expect(caught.score).toBeGreaterThanOrEqual(HELD_FROM)
  const told = (await reviewView(services, shop, caught.publicId))!.taughtBy
  expect(told.map(({ body }) => body).sort()).toEqual(guild.toSorted())

  await unteach(services, shop, { review: taught[0]!.publicId, whose: 'one' })
  expect((await lessonsView(services, shop)).taught).toHaveLength(2)
  await unteach(services, shop, 'all')
  const without = await lessonsView(services, shop)
  expect([without.taught.length, without.untaught.length]).toEqual([0, 3])
  expect(await ownPoints(fourth.replace('whole', 'all'))).toBe(false)
  // The decisions are as they were.
  expect((await findReview(services.db, shop.id, { publicId: taught[0]!.publicId }))!.state).toBe('spam')

  await teachAgain(services, shop, { review: taught[1]!.publicId })
  expect((await lessonsView(services, shop)).taught).toHaveLength(1)
  await teachAgain(services, shop, 'all')
  expect(await ownPoints(fourth.replace('whole', 'old'))).toBe(true)
})

test('all lessons of one sender are taken away at once, and no other shop’s', async () => {
  const other = await addShop(services, 'saltmarsh', [mara])
  for (const body of guild)
    await judge((await arrives(body, 'wrenfield', 'sid@post.example')).publicId, 'spam')
  await judge((await arrives('Buy the green lamp of luck', 'wrenfield', 'tom@post.example')).publicId, 'spam')
  const { taught } = await lessonsView(services, shop)
  expect(taught.map(({ ofSender }) => ofSender)).toEqual([1, 3, 3, 3])
  await unteach(services, other, { review: taught[1]!.publicId, whose: 'sender' })
  expect((await lessonsView(services, shop)).taught).toHaveLength(4)
  await unteach(services, shop, { review: taught[1]!.publicId, whose: 'sender' })
  expect((await lessonsView(services, shop)).taught.map(({ body }) => body)).toEqual([
    'Buy the green lamp of luck',
  ])
})
