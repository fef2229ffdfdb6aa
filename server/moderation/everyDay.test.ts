import { beforeEach, describe, expect, test } from 'vitest'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import { reviewFilterSchema } from '../../core/moderation/reviewFilter'
import {
  allShowable,
  addMember,
  addShop,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { writeDown } from '../collection/writeDown'
import { verifyChain } from '../data/decisions'
import { wholeLane } from '../data/laneFilter'
import { laneCounts } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { saveNoteOrDraft, queueNames, saveView, deleteView } from './notesAndDrafts'
import { decide, decideMany } from './decide'
import { latestOwnAct } from './latestOwnAct'
import { allInLane, neighbours, queueView } from './queue'
import { readFilter } from './readFilter'
import { reviewView } from './reviewView'
import { undo, undoFromLog } from './undo'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let ned: TestMember
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  mara = await addMember(services, 'Mara')
  ned = await addMember(services, 'Ned')
  shop = await addShop(services, 'wrenfield', [mara, ned])
})
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const act = async (publicId: string, chosen: ReviewAct, member = mara) =>
  (await decide(services, shop, member, publicId, chosen, (await found(publicId)).revision)).outcome
const one = async (given: Parameters<typeof send>[2] = {}) =>
  (await send(services, 'wrenfield', given)).publicId
const look = async (asked: object, lane: 'waiting' | 'approved' = 'waiting') =>
  queueView(services, shop, await readFilter(services, shop, lane, reviewFilterSchema.parse(asked)), 50)
const names = async (asked: object) => (await look(asked)).lines.map(({ authorName }) => authorName)

describe('a reply', () => {
  test('is drafted for the shop alone, posted for visitors, changed, taken back and brought back', async () => {
    const id = await one({ rating: 1 })
    await act(id, { kind: 'approve' })
    const shown = async () => (await allShowable(services, shop))[0]!.reply
    expect((await found(id)).needsReply).toBe(true)

    expect(await saveNoteOrDraft(services, shop, id, 'replyDraft', 'We are sor')).toBe(true)
    expect([(await found(id)).replyDraft, await shown()]).toEqual(['We are sor', null])
    expect(await act(id, { kind: 'reply', reply: 'We are sorry.' })).toBe('done')
    expect(await shown()).toEqual({ name: shop.replyName, body: 'We are sorry.' })
    expect(await found(id)).toMatchObject({ needsReply: false, replyDraft: '' })
    await act(id, { kind: 'reply', reply: 'We are sorry. Two new ones are on their way.' })
    await act(id, { kind: 'unreply' })
    expect(await shown()).toBeNull()
    expect((await found(id)).replyDraft).toContain('Two new ones')
    await undo(services, shop, mara)
    expect((await shown())!.body).toContain('Two new ones')
    await undo(services, shop, mara)
    expect((await shown())!.body).toBe('We are sorry.')
    expect((await found(id)).state).toBe('approved')
  })
  test('of another shop is kept nowhere', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    const id = await one()
    expect(await saveNoteOrDraft(services, other, id, 'note', 'mine')).toBe(false)
    expect((await found(id)).note).toBe('')
  })
})

test('a reason is given with declining, changed later, and gone when the review is approved after all', async () => {
  const id = await one()
  await act(id, { kind: 'decline', reason: 'It is about another shop.' })
  expect((await found(id)).declineReason).toBe('It is about another shop.')
  await act(id, { kind: 'reason', reason: 'It was sent twice.' })
  expect((await found(id)).declineReason).toBe('It was sent twice.')
  expect(await act(id, { kind: 'reason', reason: 'It was sent twice.' })).toBe('alreadyThere')
  await act(id, { kind: 'approve' })
  expect((await found(id)).declineReason).toBe('')
  await undo(services, shop, mara)
  expect(await found(id)).toMatchObject({ state: 'declined', declineReason: 'It was sent twice.' })
})

test('moving and tags are acts of their own, and an unknown product changes nothing', async () => {
  const id = await one()
  expect(await act(id, { kind: 'move', product: 'NO-SUCH' })).toBe('alreadyThere')
  await act(id, { kind: 'move', product: 'HK-2' })
  await act(id, { kind: 'tag', tag: 'Course' })
  expect(await act(id, { kind: 'tag', tag: 'course' })).toBe('alreadyThere')
  expect((await found(id)).productTitle).toBe('Hive kit')
  expect((await reviewView(services, shop, id))!.tags).toEqual(['Course'])
  expect((await queueNames(services, shop)).tags).toEqual(['Course'])
  expect(await names({ tag: 'course' })).toHaveLength(1)
  expect(await names({ tag: 'nothing' })).toEqual([])
  await act(id, { kind: 'untag', tag: 'COURSE' })
  expect((await reviewView(services, shop, id))!.tags).toEqual([])
})

describe('undo from the log', () => {
  const entry = async (id: string, kind: string) =>
    (await reviewView(services, shop, id))!.history.find((line) => line.act === kind)!.number
  test('takes one act back, whoever did it, and leaves later acts on other parts', async () => {
    const id = await one()
    await act(id, { kind: 'tag', tag: 'first' }, ned)
    await act(id, { kind: 'approve' })
    await act(id, { kind: 'tag', tag: 'second' })
    await act(id, { kind: 'move', product: 'HK-2' })
    expect((await undoFromLog(services, shop, mara, id, await entry(id, 'tag'))).outcome).toBe('done')
    expect((await undoFromLog(services, shop, ned, id, await entry(id, 'approve'))).outcome).toBe('done')
    const review = await found(id)
    expect([review.state, review.publishedVersionId, review.productTitle]).toEqual([
      'waiting',
      null,
      'Hive kit',
    ])
    expect((await reviewView(services, shop, id))!.tags).toEqual(['second'])
  })
  test('refuses what a later act stands on, and what is taken back already', async () => {
    const id = await one()
    await act(id, { kind: 'approve' })
    const approved = await entry(id, 'approve')
    await act(id, { kind: 'spam' }, ned)
    expect((await undoFromLog(services, shop, mara, id, approved)).outcome).toBe('overtaken')
    expect((await found(id)).state).toBe('spam')
    await undoFromLog(services, shop, mara, id, await entry(id, 'spam'))
    expect((await undoFromLog(services, shop, mara, id, approved)).outcome).toBe('done')
    expect((await undoFromLog(services, shop, mara, id, approved)).outcome).toBe('nothing')
    expect((await undoFromLog(services, shop, mara, id, 1)).outcome).toBe('nothing')
    expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
  })
})

describe('many at once', () => {
  test('each is logged, one that moved meanwhile is left, and one undo takes them all back', async () => {
    const ids: string[] = []
    for (let i = 0; i < 120; i++) {
      // One every three hours is a habit; all at once would be a crowd.
      clock.now = new Date(clock.now.getTime() + 3 * 3_600_000)
      ids.push(
        await one({
          author_name: `Writer ${i}`,
          author_email: `writer${i}@post${i % 9}.example`,
          body: `Frame ${i} fits`,
        }),
      )
    }
    const lookedAt = new Date(clock.now.getTime() + 1000).toISOString()
    clock.now = new Date(clock.now.getTime() + 2000)
    await one({ author_name: 'Came later' })
    const seen = await allInLane(services, shop, wholeLane('waiting'), lookedAt)
    expect(seen).toHaveLength(120)
    await act(ids[3]!, { kind: 'decline', reason: '' }, ned)
    expect(await decideMany(services, shop, mara, seen, { kind: 'approve' })).toEqual({
      done: 119,
      conflicts: 1,
      alreadyThere: 0,
    })
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ waiting: 1, approved: 119, declined: 1 })
    expect(await latestOwnAct(services, shop, mara)).toMatchObject({ act: 'approve', count: 119 })
    await act(ids[5]!, { kind: 'spam' }, ned)
    expect(await undo(services, shop, mara)).toMatchObject({ outcome: 'done', count: 118 })
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ waiting: 119, spam: 1, declined: 1 })
    expect(await latestOwnAct(services, shop, mara)).toMatchObject({ act: 'undo', count: 118 })
    expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
  })
  test('of another shop none is touched', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    const id = await one()
    const outcome = await decideMany(services, other, mara, [{ publicId: id, revision: 1 }], { kind: 'spam' })
    expect(outcome.done).toBe(0)
    expect((await found(id)).state).toBe('waiting')
  })
})

test('a half mark is found with the whole one that it is shown as', async () => {
  const entry = manualEntrySchema([], '2026-11-25').parse({
    rating: '4.5',
    body: 'Gone by noon.',
    waiting: 'on',
  })
  await writeDown(services, shop, mara, entry)
  expect((await look({ rating: 5 })).total).toBe(1)
  expect((await look({ rating: 5 })).lines[0]?.rating).toBe(450)
  expect((await look({})).facets.rating).toEqual({ 500: 1 })
  expect((await look({ rating: 4 })).lines).toEqual([])
})

describe('the filter', () => {
  beforeEach(async () => {
    await one({
      author_name: 'Anna Berg',
      rating: 2,
      product: 'HK-2',
      body: 'Zwei Rähmchen kamen gebrochen an, schade um das schöne Holz.',
    })
    clock.now = new Date('2026-11-26T12:00:00Z')
    await one({
      author_name: 'Piotr Lis',
      rating: 5,
      order_number: 'WB-2091',
      product: 'HK-2',
      body: 'Frames fit, and the roof is tight.',
    })
    clock.now = new Date('2026-11-27T12:00:00Z')
    await one({ author_name: 'Tess Bree', rating: 4, body: '' })
  })
  test.each<[object, string[]]>([
    [{}, ['Tess Bree', 'Piotr Lis', 'Anna Berg']],
    [{ rating: 5 }, ['Piotr Lis']],
    [{ product: 'HK-2' }, ['Piotr Lis', 'Anna Berg']],
    [{ product: '-' }, ['Tess Bree']],
    [{ product: 'GONE' }, []],
    [{ language: 'de' }, ['Anna Berg']],
    // A short text is in the shop's language if that is possible.
    [{ language: '-' }, ['Tess Bree']],
    [{ language: 'en' }, ['Piotr Lis']],
    [{ bought: 'yes' }, ['Piotr Lis']],
    [{ words: 'no' }, ['Tess Bree']],
    [{ needsReply: 'yes' }, ['Anna Berg']],
    [{ source: 'manualEntry' }, []],
    [{ from: '2026-11-26', to: '2026-11-26' }, ['Piotr Lis']],
    [{ from: '2026-11-26', sort: 'oldest' }, ['Piotr Lis', 'Tess Bree']],
    [{ sort: 'oldest' }, ['Anna Berg', 'Piotr Lis', 'Tess Bree']],
    [{ sort: 'lowest' }, ['Anna Berg', 'Tess Bree', 'Piotr Lis']],
    [{ sort: 'highest', product: 'HK-2' }, ['Piotr Lis', 'Anna Berg']],
    [{ q: 'rahmchen' }, ['Anna Berg']],
    [{ q: 'FRAMES tig' }, ['Piotr Lis']],
    [{ q: 'frames schade' }, []],
    [{ q: 'lis' }, ['Piotr Lis']],
    [{ q: 'wrenfield' }, []],
    [{ q: 'waiting' }, []],
    [{ q: '"*(' }, ['Tess Bree', 'Piotr Lis', 'Anna Berg']],
  ])('%j lets through %j, and total and neighbours agree', async (asked, expected) => {
    const { lines, total } = await look(asked)
    expect(lines.map(({ authorName }) => authorName)).toEqual(expected)
    expect(total).toBe(expected.length)
    const filter = await readFilter(services, shop, 'waiting', reviewFilterSchema.parse(asked))
    for (const [i, line] of lines.entries()) {
      const { after, before } = await neighbours(services, shop, filter, line.id)
      expect([before?.publicId, after?.publicId]).toEqual([lines[i - 1]?.publicId, lines[i + 1]?.publicId])
    }
  })
  test('each choice says how many it would leave with all else as it is', async () => {
    const { facets } = await look({ product: 'HK-2' })
    expect(facets.rating).toEqual({ 200: 1, 500: 1 })
    expect(Object.values(facets.productId).reduce((a, b) => a + b)).toBe(3)
    expect(facets.verified).toEqual({ 0: 1, 1: 1 })
    expect((await look({ product: 'HK-2', bought: 'yes' })).facets.rating).toEqual({ 500: 1 })
  })
  test('a search finds a review in the lane where it is now, and not in another shop', async () => {
    const { lines } = await look({ q: 'frames' })
    await act(lines[0]!.publicId, { kind: 'approve' })
    expect((await look({ q: 'frames' })).lines).toEqual([])
    expect((await look({ q: 'frames' }, 'approved')).lines).toHaveLength(1)
    const other = await addShop(services, 'saltmarsh', [mara])
    const elsewhere = await readFilter(services, other, 'approved', reviewFilterSchema.parse({ q: 'frames' }))
    expect((await queueView(services, other, elsewhere, 10)).lines).toEqual([])
  })
})

test('a view is kept under a name for the whole shop, replaced by the same name, and removed', async () => {
  await saveView(services, shop, 'Angry ones', 'lane=waiting&rating=1')
  await saveView(services, shop, 'Angry ones', 'lane=waiting&rating=2')
  const { views } = await queueNames(services, shop)
  expect(views).toMatchObject([{ name: 'Angry ones', query: 'lane=waiting&rating=2' }])
  const other = await addShop(services, 'saltmarsh', [mara])
  await deleteView(services, other, views[0]!.publicId)
  expect((await queueNames(services, shop)).views).toHaveLength(1)
  await deleteView(services, shop, views[0]!.publicId)
  expect((await queueNames(services, shop)).views).toEqual([])
})
