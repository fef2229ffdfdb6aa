import { wholeLane } from '../data/laneFilter'
import { plainAct } from '../../core/moderation/reviewAct'
import fc from 'fast-check'
import { beforeEach, describe, expect, test } from 'vitest'
import { acts, stateAfter, type Act } from '../../core/moderation/likelyAct'
import { verifyChain } from '../data/decisions'
import { laneCounts } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import { decide } from './decide'
import { neighbours, queueView } from './queue'
import { reviewView } from './reviewView'
import { undo } from './undo'

let services: Services
let shop: Shop
let mara: TestMember
let ned: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  ned = await addMember(services, 'Ned')
  shop = await addShop(services, 'wrenfield', [mara, ned])
})
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const act = async (member: TestMember, publicId: string, chosen: Act) =>
  decide(services, shop, member, publicId, plainAct(chosen), (await found(publicId)).revision)
const history = async (publicId: string) =>
  (await reviewView(services, shop, publicId))!.history.map((entry) =>
    `${entry.memberName ?? ''} ${entry.act} ${entry.state}${entry.undone ? ' (undone)' : ''}`.trim(),
  )

describe('deciding', () => {
  test('moves the review, publishes its version and is logged', async () => {
    const { publicId } = await send(services, 'wrenfield')
    expect((await act(mara, publicId, 'approve')).outcome).toBe('done')
    const review = await found(publicId)
    expect([review.state, review.publishedVersionId, review.publishedAt]).toEqual([
      'approved',
      review.versionId,
      '2026-11-25T12:00:00.000Z',
    ])
    expect(await history(publicId)).toEqual(['arrive waiting', 'Mara approve approved'])
  })
  test('on a review that somebody moved meanwhile changes nothing and says so', async () => {
    const { publicId } = await send(services, 'wrenfield')
    const seen = (await found(publicId)).revision
    await act(ned, publicId, 'decline')
    const outcome = await decide(services, shop, mara, publicId, plainAct('approve'), seen)
    expect(outcome).toEqual({ outcome: 'conflict', authorName: 'Piotr Lis', state: 'declined' })
    expect((await found(publicId)).state).toBe('declined')
    expect(await history(publicId)).toHaveLength(2)
  })
  test('two at once: one acts, the other is told', async () => {
    const { publicId } = await send(services, 'wrenfield')
    const { revision } = await found(publicId)
    const outcomes = await Promise.all([
      decide(services, shop, mara, publicId, plainAct('approve'), revision),
      decide(services, shop, ned, publicId, plainAct('spam'), revision),
    ])
    expect(outcomes.map(({ outcome }) => outcome).sort()).toEqual(['conflict', 'done'])
  })
  test('what it is already is no act', async () => {
    const { publicId } = await send(services, 'wrenfield')
    await act(mara, publicId, 'approve')
    expect((await act(mara, publicId, 'approve')).outcome).toBe('alreadyThere')
  })
  test('another shop’s review is not there', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    const { publicId } = await send(services, 'saltmarsh')
    expect(await decide(services, shop, mara, publicId, plainAct('approve'), 1)).toEqual({ outcome: 'gone' })
    expect(await reviewView(services, shop, publicId)).toBeNull()
    expect((await findReview(services.db, other.id, { publicId }))!.state).toBe('waiting')
  })
})

describe('undo', () => {
  test('steps back through one’s own acts, one after the other', async () => {
    const [one, two] = [
      (await send(services, 'wrenfield')).publicId,
      (await send(services, 'wrenfield')).publicId,
    ]
    await act(mara, one, 'approve')
    await act(mara, one, 'decline')
    await act(mara, two, 'spam')
    const back = async () => {
      const outcome = await undo(services, shop, mara)
      return outcome.outcome === 'done'
        ? [outcome.review.publicId === one ? 'one' : 'two', outcome.state]
        : outcome.outcome
    }
    expect([await back(), await back(), await back(), await back()]).toEqual([
      ['two', 'waiting'],
      ['one', 'approved'],
      ['one', 'waiting'],
      'nothing',
    ])
    expect(await history(one)).toEqual([
      'arrive waiting',
      'Mara approve approved (undone)',
      'Mara decline declined (undone)',
      'Mara undo approved',
      'Mara undo waiting',
    ])
    expect((await found(one)).publishedVersionId).toBeNull()
  })
  test('leaves other people’s acts alone', async () => {
    const { publicId } = await send(services, 'wrenfield')
    await act(ned, publicId, 'approve')
    expect((await undo(services, shop, mara)).outcome).toBe('nothing')
  })
  test('tells when somebody has acted since, and goes past it when asked', async () => {
    const [one, two] = [
      (await send(services, 'wrenfield')).publicId,
      (await send(services, 'wrenfield')).publicId,
    ]
    await act(mara, two, 'approve')
    await act(mara, one, 'approve')
    await act(ned, one, 'spam')
    const blocked = await undo(services, shop, mara)
    expect(blocked.outcome).toBe('overtaken')
    expect((await found(one)).state).toBe('spam')
    const passed = blocked.outcome === 'overtaken' ? [blocked.decisionId] : []
    expect(await undo(services, shop, mara, passed)).toMatchObject({ outcome: 'done', state: 'waiting' })
    expect((await found(two)).state).toBe('waiting')
  })
  test('the colleague’s act taken back, one’s own can be taken back again', async () => {
    const { publicId } = await send(services, 'wrenfield')
    await act(mara, publicId, 'approve')
    await act(ned, publicId, 'spam')
    await undo(services, shop, ned)
    expect(await undo(services, shop, mara)).toMatchObject({ outcome: 'done', state: 'waiting' })
  })
})

describe('the log', () => {
  test('refuses to be changed or shortened', async () => {
    await send(services, 'wrenfield')
    await expect(services.db('decision').update({ act: 'approve' })).rejects.toThrow('append-only')
    await expect(services.db('decision').delete()).rejects.toThrow('append-only')
  })
  test('shows where it was tampered with', async () => {
    for (let i = 0; i < 4; i++) await act(mara, (await send(services, 'wrenfield')).publicId, 'approve')
    expect(await verifyChain(services.db, shop.id)).toEqual({ holds: true, entries: 8 })
    await services.db.raw('DROP TRIGGER decision_never_updated')
    await services.db('decision').where({ number: 4 }).update({ after: '{"state":"declined"}' })
    expect(await verifyChain(services.db, shop.id)).toEqual({ holds: false, brokenAt: 4, entries: 8 })
    await services.db.raw('DROP TRIGGER decision_never_deleted')
    await services.db('decision').where({ number: 2 }).delete()
    expect(await verifyChain(services.db, shop.id)).toEqual({ holds: false, brokenAt: 2, entries: 7 })
  })
  test('holds no words, names or addresses', async () => {
    await act(mara, (await send(services, 'wrenfield', { body: 'Zanzibar' })).publicId, 'approve')
    const rows = JSON.stringify(await services.db('decision'))
    expect(rows).not.toMatch(/Zanzibar|Piotr|lis\.example/)
    expect(rows).toContain('approved')
  })
})

test('counts and neighbours stay true through any series of acts', async () => {
  const ids: string[] = []
  for (const rating of [1, 2, 4, 4, 5]) ids.push((await send(services, 'wrenfield', { rating })).publicId)
  const step = fc.record({ which: fc.nat(4), act: fc.constantFrom(...acts, 'undo' as const) })
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 12 }), async (steps) => {
      for (const { which, act: chosen } of steps) {
        if (chosen === 'undo') await undo(services, shop, mara)
        else if ((await found(ids[which]!)).state !== stateAfter[chosen]) await act(mara, ids[which]!, chosen)
      }
      const states: { state: string; n: number }[] = await services
        .db('review')
        .groupBy('state')
        .select('state')
        .count({ n: '*' })
      const counts = await laneCounts(services.db, shop.id)
      for (const { state, n } of states) expect(counts[state as keyof typeof counts]).toBe(n)
      expect(Object.values(counts).reduce((a, b) => a + b)).toBe(5)
      const lane = await queueView(services, shop, { ...wholeLane('waiting'), rating: 400 }, 10)
      expect(lane.total).toBe(lane.lines.length)
      const first = lane.lines[0]
      if (first) {
        const next = await neighbours(services, shop, { ...wholeLane('waiting'), rating: 400 }, first.id)
        expect(next.before).toBeNull()
        expect(next.after?.publicId).toBe(lane.lines[1]?.publicId)
      }
      expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
    }),
    { numRuns: 12 },
  )
})
