import { beforeEach, describe, expect, test } from 'vitest'
import type { Candidate } from '../../core/intake/candidate'
import { asMember, asSystem } from '../../core/moderation/actor'
import { plainAct } from '../../core/moderation/reviewAct'
import { reviewFilterSchema } from '../../core/moderation/reviewFilter'
import { brought } from '../../tests/support/brought'
import {
  addMember,
  addShop,
  allShowable,
  drainJobs,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { verifyChain } from '../data/decisions'
import { findIntake, insertIntake, type Intake } from '../data/intakes'
import { publishableCounts } from '../data/publishable'
import { groupsInLane, laneCounts } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { queueView } from '../moderation/queue'
import { readFilter } from '../moderation/readFilter'
import type { Services } from '../services'
import { TaskStopped, type TaskControl } from '../workers/task'
import { writing } from '../data/writing'
import { withdrawVanished } from './changeKnown'
import { receive } from './receive'
import { takeIn } from './takeIn'
import { askToUndoIntake } from './undoIntake'

let services: Services
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const going: TaskControl = { isStopped: () => false, progress: () => undefined, giveWay: () => undefined }
const ORIGIN = 'old-shop.csv'

async function newIntake(): Promise<Intake> {
  return insertIntake(services.db, {
    shopId: shop.id,
    publicId: services.newId(),
    source: 'manualEntry',
    origin: ORIGIN,
    memberId: mara.id,
    createdAt: services.now().toISOString(),
  })
}
async function bring(candidates: Candidate[], control = going): Promise<Intake> {
  const intake = await newIntake()
  await takeIn(services, shop, { intake, actor: asMember(mara), candidates }, control)
  return (await findIntake(services.db, shop.id, intake.publicId))!
}
const many = (count: number, more: Partial<Candidate> = {}) =>
  Array.from({ length: count }, (_, i) => brought(`K-${i}`, more))

/** Everything that lists, counts and displays read. */
async function state() {
  const { db } = services
  const filter = await readFilter(services, shop, 'approved', reviewFilterSchema.parse({ words: 'frames' }))
  return {
    lanes: await laneCounts(db, shop.id),
    groups: await groupsInLane(db, shop.id, 'approved', null),
    publishable: (await publishableCounts(db, shop.id, null)).map(({ row, count }) => ({ ...row, count })),
    shown: (await allShowable(services, shop)).map(({ publicId, body }) => [publicId, body]),
    found: (await queueView(services, shop, filter, 50)).lines.map(({ publicId }) => publicId),
  }
}

test('a low rating from another site needs no reply here, in counts, lists and the review', async () => {
  const low = { rating: { value: 1, scale: 5 } }
  const written = await newIntake()
  await takeIn(
    services,
    shop,
    {
      intake: written,
      actor: asMember(mara),
      candidates: [brought('ours', low), brought('theirs', { ...low, source: 'listing' })],
    },
    going,
  )
  const asking = async (needsReply: 'yes' | 'no') => {
    const asked = reviewFilterSchema.parse({ needsReply })
    const view = await queueView(services, shop, await readFilter(services, shop, 'approved', asked), 50)
    return {
      authors: view.lines.map(({ authorName }) => authorName),
      total: view.total,
      facets: view.facets.needsReply,
    }
  }
  const facets = { 0: 1, 1: 1 }
  expect(await asking('yes')).toEqual({ authors: ['Writer ours'], total: 1, facets })
  expect(await asking('no')).toEqual({ authors: ['Writer theirs'], total: 1, facets })
})

describe('an intake', () => {
  test('is stored with counters, search, publication and one log entry for each review', async () => {
    const intake = await bring([
      ...many(450),
      brought('held', { body: 'See https://hive-cheap.example now' }),
    ])
    expect(intake).toMatchObject({ stored: 451, known: 0, changed: 0, withdrawn: 0 })
    const after = await state()
    expect(Object.values(after.lanes).reduce((sum, count) => sum + count)).toBe(451)
    expect(after.shown).toHaveLength(after.lanes.approved)
    expect(after.publishable.reduce((sum, { count }) => sum + count, 0)).toBe(after.lanes.approved)
    expect(after.found).toHaveLength(50)
    const log: { act: string; batch: string; memberId: number }[] = await services
      .db('decision')
      .where({ batch: intake.publicId })
      .select('act', 'batch', { memberId: 'member_id' })
    expect(new Set(log.map((entry) => JSON.stringify(entry)))).toEqual(
      new Set([JSON.stringify({ act: 'write', batch: intake.publicId, memberId: mara.id })]),
    )
    expect(await verifyChain(services.db, shop.id)).toEqual({ holds: true, entries: 451 })
  })

  test('marks displays once for each transaction, not for each review', async () => {
    const display = {
      shop_id: shop.id,
      public_id: 'd',
      key: 'front',
      name: 'Front',
      created_at: '',
      draft_version_id: 1,
    }
    await services.db('display').insert({ ...display, live_version_id: 1 })
    await receive(services, shop, { actor: asMember(mara), intake: null, candidates: many(150) })
    expect(await services.db('display').where({ key: 'front' }).pluck('stale')).toEqual([1])
  })

  test('brought again is known, under the same key at another origin it is another review', async () => {
    await bring(many(30))
    const again = await bring(many(30))
    expect(again).toMatchObject({ stored: 0, known: 30, changed: 0 })
    expect(await bring([brought('K-1', {}, 'other-shop.csv')])).toMatchObject({ stored: 1 })
    expect(await bring([brought('twice'), brought('twice')])).toMatchObject({ stored: 1, known: 1 })
    expect((await laneCounts(services.db, shop.id)).approved).toBe(32)
  })

  test('a changed review gets a version, one that vanished is withdrawn, and one that is back is back', async () => {
    await bring(many(4))
    const changed = [brought('K-0', { body: 'Two of the frames broke.', rating: { value: 2, scale: 5 } })]
    const check = await bring([...changed, ...many(4).slice(1, 3)])
    expect(check).toMatchObject({ stored: 0, known: 2, changed: 1 })
    const [gone] = (await services
      .db('review')
      .where({ shop_id: shop.id, origin: ORIGIN, external_key: 'K-3' })
      .pluck('id')) as number[]
    await writing(services.db, (trx) =>
      withdrawVanished(services, trx, shop, { actor: asSystem, intake: check }, [gone!]),
    )
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ approved: 3, withdrawn: 1 })
    const [id] = await services
      .db('review')
      .where({ shop_id: shop.id, origin: ORIGIN, external_key: 'K-0' })
      .pluck('public_id')
    const review = (await findReview(services.db, shop.id, { publicId: id as string }))!
    expect([review.body, review.rating]).toEqual(['Two of the frames broke.', 200])
    expect(await services.db('review_version').where({ review_id: review.id }).pluck('number')).toEqual([
      1, 2,
    ])

    expect(await bring([...changed, ...many(4).slice(1)])).toMatchObject({ changed: 1, known: 3 })
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ approved: 4, withdrawn: 0 })
  })

  test('stopped in the middle it continues where the same reviews come again', async () => {
    let steps = 0
    const stopping: TaskControl = { ...going, isStopped: () => ++steps === 3 }
    await expect(bring(many(400), stopping)).rejects.toThrow(TaskStopped)
    const { approved } = await laneCounts(services.db, shop.id)
    expect(approved).toBeGreaterThan(0)
    expect(approved).toBeLessThan(400)
    expect(await bring(many(400))).toMatchObject({ stored: 400 - approved, known: approved })
    expect((await laneCounts(services.db, shop.id)).approved).toBe(400)
  })

  test('of a batch that can’t be stored nothing is stored', async () => {
    const broken = brought('broken', {
      photos: [{ id: 99, name: '', small: '', width: 1, height: 1, alt: '', video: null, seconds: null }],
    })
    await expect(
      receive(services, shop, { actor: asMember(mara), intake: null, candidates: [...many(3), broken] }),
    ).rejects.toThrow()
    expect((await state()).lanes.approved).toBe(0)
    expect(await services.db('review_count').sum({ sum: 'count' })).toEqual([{ sum: null }])
  })
})

describe('undoing an intake', () => {
  const undoIt = async (intake: Intake, back = false) => {
    expect(await askToUndoIntake(services, shop, mara, intake.publicId, back)).toBe(true)
    await drainJobs(services)
  }

  test('leaves the shop as before, and can be undone and done again', async () => {
    const { publicId: own } = await send(services, 'wrenfield')
    await bring(many(3))
    const before = await state()
    const intake = await bring([
      brought('K-0', { body: 'The frames were late.' }),
      ...Array.from({ length: 60 }, (_, i) => brought(`new-${i}`)),
    ])
    const after = await state()
    expect(intake).toMatchObject({ stored: 60, changed: 1 })
    await undoIt(intake)
    expect(await state()).toEqual(before)
    expect(await findReview(services.db, shop.id, { publicId: own })).not.toBeNull()
    await undoIt(intake, true)
    expect(await state()).toEqual(after)
    await undoIt(intake)
    expect(await state()).toEqual(before)
    expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
  })

  test('takes along what was decided since, and brings it back as it was', async () => {
    const intake = await bring(many(2))
    const [publicId] = await services.db('review').orderBy('id').pluck<string[]>('public_id')
    await decide(services, shop, mara, publicId!, plainAct('decline'), 1)
    await undoIt(intake)
    expect(await findReview(services.db, shop.id, { publicId: publicId! })).toBeNull()
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ approved: 0, declined: 0 })
    await undoIt(intake, true)
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ approved: 1, declined: 1 })
  })

  test('is asked once, for an intake of this shop, and goes on after a stop', async () => {
    const intake = await bring(many(50))
    const other = await addShop(services, 'saltmarsh', [mara])
    expect(await askToUndoIntake(services, other, mara, intake.publicId)).toBe(false)
    expect(await askToUndoIntake(services, shop, mara, intake.publicId, true)).toBe(false)
    expect(await askToUndoIntake(services, shop, mara, intake.publicId)).toBe(true)
    expect(await askToUndoIntake(services, shop, mara, intake.publicId)).toBe(false)
    await drainJobs(services)
    expect((await state()).shown).toEqual([])
  })

  test('brought again after it was undone, its reviews are back', async () => {
    const intake = await bring(many(3))
    await undoIt(intake)
    expect(await bring(many(3))).toMatchObject({ changed: 3, stored: 0 })
    expect((await state()).shown).toHaveLength(3)
  })
})
