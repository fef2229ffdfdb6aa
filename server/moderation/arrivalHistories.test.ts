import { beforeEach, expect, test } from 'vitest'
import { FINGERPRINT_MODEL } from '../../core/moderation/memory/fingerprint'
import type { Arriving } from '../../core/moderation/memory/arrival'
import { addShop, send, testServices } from '../../tests/support/shop'
import { openForm } from '../collection/customerForm'
import { issueFormToken } from '../collection/formToken'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { buildArrivalHistories } from './arrivalHistories'

let services: Services
let clock: { now: Date }
let shop: Shop
let ids: string[]
const words =
  'These hives have changed the way our whole village thinks about honey, and about bees, for good.'
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  shop = await addShop(services, 'wrenfield', [])
  ids = []
  for (const i of [1, 2]) {
    const who = { author_name: `Person ${i}`, author_email: `person.${i}@village${i}.example` }
    ids.push((await send(services, 'wrenfield', { body: `${words} ${i}`, ...who })).publicId)
  }
})

/** What is remembered after a restart. */
const readAnew = (firstRead?: number) => {
  const memories = buildArrivalHistories(services.db, () => clock.now, firstRead)
  return {
    meet: (one: Arriving) => memories.compareAndRemember(shop.id, one),
    forget: (id: string) => memories.forget(shop.id, id),
    readAll: () => memories.readAll(shop.id),
  }
}
const arriving = (more: Partial<Arriving> = {}): Arriving => ({
  id: 'new',
  title: '',
  body: words,
  rating: 500,
  authorName: 'Somebody Else',
  authorEmail: 'person1@village1.example',
  ip: '',
  receivedAt: clock.now.toISOString(),
  product: '',
  fillSeconds: 60,
  verified: null,
  ...more,
})

test('a restart remembers words and senders as they were, and reads no text for it', async () => {
  const { history } = await readAnew().meet(arriving())
  expect(new Set(history.near.map(({ id }) => id))).toEqual(new Set(ids))
  expect(history.sender.aliasOf).toBe('person.1@village1.example')
  await services.db('review_version').update({ body: 'changed' })
  expect((await readAnew().meet(arriving())).history.near).toHaveLength(2)
})

test('what was stored by no model or an earlier one is made again, and stored', async () => {
  await services.db('fingerprint').where({ review_id: 1 }).delete()
  await services.db('fingerprint').update({ model: 0, triples: Buffer.alloc(0) })
  expect((await readAnew().meet(arriving())).history.near).toHaveLength(2)
  expect(await services.db('fingerprint').pluck('model')).toEqual([FINGERPRINT_MODEL, FINGERPRINT_MODEL])
})

test('what came more than a year ago is remembered no more', async () => {
  clock.now = new Date(clock.now.getTime() + 366 * 86_400_000)
  expect(await readAnew().readAll()).toBe(0)
})

test('an arrival that could not be stored is forgotten, and the others are not', async () => {
  const memory = readAnew()
  await memory.meet(arriving({ id: 'lost', authorEmail: 'lost@box.example' }))
  await memory.forget('lost')
  const { history } = await memory.meet(arriving({ authorEmail: 'l.ost@box.example' }))
  expect(history.near.map(({ id }) => id).sort()).toEqual(ids.toSorted())
  expect(history.sender.aliasOf).toBe('')
})

test('two posts of one token at once are one review, and one that is remembered', async () => {
  const body = 'The lid sits so well that the wasps have given up at last, and the bees are glad of it.'
  const { form } = (await openForm(services, 'wrenfield'))!
  const opened = new Date(clock.now.getTime() - 60_000)
  const token = issueFormToken(services.signingKey, form.publicId, 'once', opened)
  const given = { body, author_email: 'anna@berg.example', author_name: 'Anna Berg', token }
  const receipts = await Promise.all([send(services, 'wrenfield', given), send(services, 'wrenfield', given)])
  expect(receipts[0]).toEqual(receipts[1])
  const { history } = await services.arrivalHistories.compareAndRemember(
    shop.id,
    arriving({ body, authorEmail: '' }),
  )
  expect(history.near).toHaveLength(1)
})

test('the latest are compared at once; the others, and what came meanwhile, once all are read', async () => {
  const memory = readAnew(1)
  const near = async (one: Arriving) => (await memory.meet(one)).history.near.map(({ id }) => id)
  expect(await near(arriving({ id: 'meanwhile' }))).toEqual([ids[1]])
  await near(arriving({ id: 'lost' }))
  await memory.forget('lost')
  expect(await memory.readAll()).toBe(3)
  expect((await near(arriving({ id: 'later' }))).sort()).toEqual([...ids, 'meanwhile'].sort())
})
