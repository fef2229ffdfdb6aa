import { beforeEach, describe, expect, test } from 'vitest'
import {
  addMember,
  addShop,
  allShowable,
  nowhere,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { confirmEmail } from '../collection/confirmation'
import { correctReview } from '../collection/correctReview'
import { writeDown } from '../collection/writeDown'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { verifyChain } from '../data/decisions'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import { insertRule, type ShopRule } from '../data/rules'
import type { Shop } from '../data/shops'
import { jobKinds } from '../jobKinds'
import { startJobRunner } from '../jobs/runner'
import type { Services } from '../services'
import { decide } from './decide'

/* A review is judged again with the same facts, rules and settings as when it came. */

interface Sent {
  subject: string
  recipient: string
  text: string
}
let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let sent: Sent[]
beforeEach(async () => {
  sent = []
  ;({ services, clock } = await testServices({
    mailer: { through: 'test', from: 'a@elogio.example', send: async (mail) => void sent.push(mail) },
  }))
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
  await services.db('form').where({ slug: 'wrenfield' }).update({ writers: 'confirmed' })
})

const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const kindsOf = async (publicId: string) =>
  (await signalsOfVersion(services.db, shop.id, (await found(publicId)).versionId)).map(({ kind }) => kind)
const rule = (given: Omit<ShopRule, 'id' | 'name'>) =>
  insertRule(services.db, shop.id, { id: 'own', name: 'Own', ...given, position: 1, now: '' })
async function post() {
  const runner = startJobRunner(services, jobKinds(services, nowhere))
  await runner.drain()
  await runner.stop()
}
const stranger = { author_email: 'stranger@post.example', author_name: 'Sten Vik' }
async function confirmed(given: Parameters<typeof send>[2]) {
  const receipt = await send(services, 'wrenfield', { ...stranger, ...given })
  await post()
  const mail = sent.findLast(({ text }) => text.includes('/confirm/'))!
  const between = (await found(receipt.publicId)).state
  await confirmEmail(services, /\/confirm\/(\S+)/.exec(mail.text)![1]!)
  await post()
  return { ...receipt, between, state: (await found(receipt.publicId)).state }
}

describe('after its writer has confirmed the address', () => {
  test('a form that shows reviews at once shows it', async () => {
    await services.db('form').where({ slug: 'wrenfield' }).update({ arrives_as: 'approved' })
    const { between, state, publicId } = await confirmed({})
    expect([between, state]).toEqual(['held', 'approved'])
    expect((await allShowable(services, shop)).map((one) => one.publicId)).toEqual([publicId])
  })

  test('a rule of the shop approves it, as itself in the log', async () => {
    await rule({ when: [{ on: 'rating', atLeast: 400 }], then: 'approved' })
    const { state, publicId } = await confirmed({ rating: 5 })
    expect(state).toBe('approved')
    expect(await kindsOf(publicId)).toEqual(['approvingRule'])
    const acts: { act: string; actor: string }[] = await services
      .db('decision')
      .where({ review_id: (await found(publicId)).id })
      .orderBy('number')
      .select('act', 'actor')
    expect(acts.slice(-2)).toEqual([
      { act: 'confirm', actor: 'customer' },
      { act: 'rule', actor: 'rule:own' },
    ])
    expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
  })

  test('the link of a stranger still holds it', async () => {
    const { state, publicId } = await confirmed({ body: 'Good frames, more at hiveblog.example for all.' })
    expect(state).toBe('held')
    expect(await kindsOf(publicId)).toContain('link')
  })

  test('a product that is for verified buyers only still holds it', async () => {
    await services.db('product').where({ sku: 'HK-2' }).update({ writers: 'buyers' })
    const { state, publicId } = await confirmed({ product: 'HK-2' })
    expect(state).toBe('held')
    expect(await kindsOf(publicId)).toEqual(['unverified'])
  })

  test('a tag given meanwhile is no decision on it, a decline is', async () => {
    const actBetween = async (act: Parameters<typeof decide>[4]) => {
      const { publicId } = await send(services, 'wrenfield', {
        ...stranger,
        author_email: `${act.kind}@post.example`,
        body: `Well made, and it came in time for ${act.kind}.`,
      })
      await decide(services, shop, mara, publicId, act, (await found(publicId)).revision)
      await post()
      const mail = sent.findLast(({ text }) => text.includes('/confirm/'))!
      await confirmEmail(services, /\/confirm\/(\S+)/.exec(mail.text)![1]!)
      return (await found(publicId)).state
    }
    expect(await actBetween({ kind: 'tag', tag: 'spring' })).toBe('waiting')
    expect(await actBetween({ kind: 'decline', reason: '' })).toBe('declined')
  })

  test('members hear of it', async () => {
    await services
      .db('membership')
      .where({ shop_id: shop.id, member_id: mara.id })
      .update({ notifications: 'each' })
    const { publicId } = await send(services, 'wrenfield', stranger)
    await post()
    const toMara = () => sent.filter(({ recipient }) => recipient === mara.email)
    expect(toMara()).toEqual([])
    clock.now = new Date(clock.now.getTime() + 3_600_000)
    await confirmEmail(services, /\/confirm\/(\S+)/.exec(sent.at(-1)!.text)![1]!)
    await post()
    expect(toMara().map(({ text }) => text.includes(publicId))).toEqual([true])
  })

  test('the daily email counts it on the day of the confirmation', async () => {
    const subjects = () =>
      sent.filter(({ recipient }) => recipient === mara.email).map(({ subject }) => subject)
    await send(services, 'wrenfield', stranger)
    await send(services, 'wrenfield')
    await post()
    const link = /\/confirm\/(\S+)/.exec(
      sent.find(({ recipient }) => recipient === stranger.author_email)!.text,
    )![1]!
    clock.now = new Date(clock.now.getTime() + 86_400_000)
    await post()
    await confirmEmail(services, link)
    clock.now = new Date(clock.now.getTime() + 86_400_000)
    await post()
    await post()
    expect(subjects()).toEqual(['One new review of wrenfield', 'One new review of wrenfield'])
  })
})

test('a correction is judged by the rules of the shop', async () => {
  await rule({ when: [{ on: 'rating', atMost: 200 }], then: 'held' })
  const entry = (rating: number) =>
    manualEntrySchema([], '2026-12-01').parse({
      rating: String(rating),
      body: 'It works.',
      author_name: 'Ada',
      consent: 'on',
    })
  const { publicId, state } = await writeDown(services, shop, mara, entry(5))
  expect(state).toBe('approved')
  const correction = { ...entry(1), keptEvidence: [], newEvidence: [] }
  await correctReview(services, shop, mara, publicId, correction, (await found(publicId)).revision)
  expect((await found(publicId)).state).toBe('held')
  expect(await kindsOf(publicId)).toContain('rule')
})
