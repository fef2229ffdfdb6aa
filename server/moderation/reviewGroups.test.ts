import { beforeEach, describe, expect, test } from 'vitest'
import { addMember, addShop, drainJobs, send, testServices, type TestMember } from '../../tests/support/shop'
import { plainAct } from '../../core/moderation/reviewAct'
import { wholeLane } from '../data/laneFilter'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { decide, decideMany } from './decide'
import { neighbours, queueView } from './queue'
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

const copy = (tail: string) =>
  `These hives have changed the way our whole village thinks about honey and about bees, ${tail}.`
const one = async (i: number, body: string, more = {}) =>
  (
    await send(services, 'wrenfield', {
      author_name: `Person ${String.fromCharCode(65 + i)}`,
      author_email: `person${i}@village${i}.example`,
      body,
      ...more,
    })
  ).publicId
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const group = async (publicId: string) => (await reviewView(services, shop, publicId))!.group
const act = async (publicId: string, kind: 'approve' | 'decline') =>
  decide(services, shop, mara, publicId, plainAct(kind), (await found(publicId)).revision)
const queue = (state: 'waiting' | 'held') => queueView(services, shop, wholeLane(state), 50)

describe('near-copies', () => {
  const tails = ['thank you', 'truly', 'every one of them', 'and so say all of us']
  test('stand as one, with what differs shown; what came alone stands alone', async () => {
    const ids = []
    for (const [i, tail] of tails.entries()) ids.push(await one(i, copy(tail)))
    const alone = await one(8, 'The lid sits crooked and the screws were missing.')
    const buyer = await one(9, copy('yes'), {
      author_name: 'Piotr Lis',
      author_email: 'piotr@lis.example',
      order_number: 'WB-2091',
    })
    const { open, sameWords, approved } = (await group(ids[3]!))!
    expect(open.map(({ publicId, odd }) => [publicId, odd])).toEqual([
      [buyer, ['verified']],
      ...ids.toReversed().map((id) => [id, []]),
    ])
    expect([sameWords, approved]).toEqual([true, []])
    expect(await group(alone)).toBeNull()
  })
  test('the list shows the latest of each lane, and the way through it skips the others', async () => {
    const before = await one(7, 'The lid sits crooked and the screws were missing.')
    const ids = []
    for (const [i, tail] of tails.entries()) ids.push(await one(i, copy(tail)))
    const after = await one(8, 'Came in a box that the post had sat on, whole all the same.')
    const states = await Promise.all(ids.map(async (id) => (await found(id)).state))
    const heldOnes = ids.filter((_, i) => states[i] === 'held')
    expect(heldOnes.length).toBeGreaterThan(1)
    const held = await queue('held')
    expect(held.lines.map(({ publicId, together }) => [publicId, together])).toEqual([
      [heldOnes.at(-1), heldOnes.length],
    ])
    expect([held.total, held.collapsed]).toEqual([heldOnes.length, heldOnes.length - 1])
    expect(held.largest).toMatchObject({ count: ids.length, publicId: ids.at(-1), sameWords: true })
    const waiting = await queue('waiting')
    expect(waiting.lines.map(({ publicId }) => publicId)).toEqual(
      [after, ids.findLast((_, i) => states[i] === 'waiting'), before].filter(Boolean),
    )
    const next = await neighbours(services, shop, wholeLane('held'), (await found(heldOnes.at(-1)!)).id)
    expect(next).toEqual({ after: null, before: null })
  })
  test('one press decides them, one undo takes it back', async () => {
    const ids = []
    for (const [i, tail] of tails.entries()) ids.push(await one(i, copy(tail)))
    const { open } = (await group(ids[0]!))!
    await decideMany(services, shop, mara, open, plainAct('spam'))
    expect((await queue('held')).largest).toBeNull()
    expect(await group(ids[0]!)).toBeNull()
    await undo(services, shop, mara)
    expect((await queue('held')).largest).toMatchObject({ count: 4 })
  })
  test('one that comes when its like are spam already says so', async () => {
    const ids = []
    for (const [i, tail] of tails.entries()) ids.push(await one(i, copy(tail)))
    await decideMany(services, shop, mara, (await group(ids[0]!))!.open, plainAct('spam'))
    const late = await one(6, copy('late'))
    expect(await group(late)).toMatchObject({ open: [{ publicId: late }], spam: 4, sameWords: true })
  })
  test('one that is approved already is listed, and nothing is done to it', async () => {
    const first = await one(0, copy('thank you'))
    await act(first, 'approve')
    const second = await one(1, copy('truly'))
    const { open, approved } = (await group(second))!
    expect([open.map(({ publicId }) => publicId), approved.map(({ publicId }) => publicId)]).toEqual([
      [second],
      [first],
    ])
    expect((await found(first)).state).toBe('approved')
  })
})

describe('a crowd that turns out to be an attack', () => {
  /** Twelve on one network within minutes, from an email domain never seen, each in other words. */
  const bodies = [
    'Nothing works and nobody answers.',
    'Avoid, the wood was wet through.',
    'Money gone, no hive in sight.',
    'Never again in my life.',
    'Rude on the phone, ruder by mail.',
    'They sell what they do not have.',
    'Splinters everywhere, and mould.',
    'A disgrace to the trade.',
    'Do not fall for the pictures.',
    'Paid twice, received nothing.',
    'Broken twice over, what a shame.',
    'The worst that I have met.',
  ]
  async function attack() {
    for (let i = 0; i < 24; i++) {
      clock.now = new Date(Date.UTC(2026, 8, 1 + i * 3, 9))
      await one(100 + i, `A calm word from somebody on day ${i}, about lid ${i} and box ${i}.`)
    }
    const ids = []
    for (const [i, body] of bodies.entries()) {
      clock.now = new Date(Date.UTC(2026, 10, 20, 12, i * 2))
      ids.push(await one(i, body, { rating: 1, author_email: `w${i}x@grudge.example` }))
      if (i === 0) await act(ids[0]!, 'approve')
      if (i === 1) await act(ids[1]!, 'decline')
    }
    return ids
  }
  test('takes earlier members with it that nobody has decided on; the others stay', async () => {
    const ids = await attack()
    await drainJobs(services)
    const states = await Promise.all(ids.map(async (id) => (await found(id)).state))
    expect(states.slice(0, 2)).toEqual(['approved', 'declined'])
    expect(new Set(states.slice(2))).toEqual(new Set(['held']))
    const third = await found(ids[2]!)
    const signs = await signalsOfVersion(services.db, shop.id, third.versionId)
    expect(signs.filter(({ kind }) => kind === 'burst')).toHaveLength(1)
    expect(third.score).toBe(signs.reduce((sum, { points }) => sum + points, 0))
    const { history } = (await reviewView(services, shop, ids[2]!))!
    expect(history.map((entry) => entry.act)).toEqual(['arrive', 'join'])
    const { open, approved, sameWords } = (await group(ids[11]!))!
    expect([open.length, approved.map(({ publicId }) => publicId), sameWords]).toEqual([10, [ids[0]], false])
  })
})
