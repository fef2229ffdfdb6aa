import { plainAct } from '../../core/moderation/reviewAct'
import { beforeEach, describe, expect, test } from 'vitest'
import { gatherView } from '../collection/gather'
import { wholeLane } from '../data/laneFilter'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { nextStep } from '../nextStep'
import { stepCounts } from '../stepCounts'
import { variedSentence } from '../../tests/support/submissions'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import { HELD_FROM } from '../../core/moderation/rules'
import { fullTextQuery } from '../../core/moderation/searchWords'
import { reviewFilterSchema } from '../../core/moderation/reviewFilter'
import { findReview } from '../data/reviewReading'
import { readFilter } from './readFilter'
import { decide } from './decide'
import { canUndo, latestOwnAct } from './latestOwnAct'
import { laneToOpen, neighbours, queueView } from './queue'
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
const hours = (count: number) => {
  clock.now = new Date(clock.now.getTime() + count * 3_600_000)
}
const everything = wholeLane('waiting')

describe('a lane', () => {
  test('is newest first, narrowed by rating, and says how many there are beyond those shown', async () => {
    for (const [i, rating] of [5, 3, 5, 5].entries())
      await send(services, 'wrenfield', { rating, author_name: `Rated ${rating}`, body: variedSentence(i) })
    const all = await queueView(services, shop, everything, 2)
    expect(all.lines.map(({ authorName }) => authorName)).toEqual(['Rated 5', 'Rated 5'])
    expect(all.total).toBe(4)
    expect(all.facets.rating).toEqual({ 500: 3, 300: 1 })
    const fives = await queueView(services, shop, { ...wholeLane('waiting'), rating: 500 }, 10)
    expect([fives.lines.length, fives.total]).toEqual([3, 3])
    expect((await queueView(services, shop, { ...wholeLane('waiting'), rating: 200 }, 10)).total).toBe(0)
  })
  test('is narrowed to those with a photo or a video', async () => {
    const { db } = services
    const videos = { Photo: null, Video: 'a.mp4', Neither: undefined }
    for (const [author_name, video] of Object.entries(videos)) {
      const sent = await send(services, 'wrenfield', {
        author_name,
        body: variedSentence(author_name.length),
      })
      if (video === undefined) continue
      const { id, versionId } = (await findReview(db, shop.id, sent))!
      const [photo_id] = await db('photo').insert({
        ...{ shop_id: shop.id, review_id: id, public_id: services.newId(), name: author_name, small: '' },
        ...{ width: 1, height: 1, alt: '', created_at: '', video },
      })
      await db('version_photo').insert({ shop_id: shop.id, version_id: versionId, photo_id, position: 0 })
      await db('review').where({ id }).update({ photos: 1 })
    }
    const shown = async (media: string, sort = 'newest') => {
      const filter = await readFilter(services, shop, 'waiting', reviewFilterSchema.parse({ media, sort }))
      const { lines, total } = await queueView(services, shop, filter, 10)
      return [lines.map(({ authorName }) => authorName), total]
    }
    expect(await shown('photo')).toEqual([['Photo'], 1])
    expect(await shown('video', 'lowest')).toEqual([['Video'], 1])
    expect((await shown('nonsense'))[1]).toBe(3)
  })
  test('shows each review’s reasons, proof and language', async () => {
    await send(services, 'wrenfield', {
      order_number: 'WB-2091',
      body: 'Die Beute passt genau, ruf mich an oder sieh auf hivedeals.example nach, Bestellung 4711.',
    })
    const { lines } = await queueView(services, shop, wholeLane('held'), 10)
    expect(lines[0]).toMatchObject({
      verified: true,
      language: 'de',
    })
    expect(lines[0]!.kinds.filter((kind) => kind !== 'wording')).toEqual(['link', 'contact', 'personal'])
    expect(lines[0]!.score).toBeGreaterThanOrEqual(HELD_FROM - 12)
  })
  test('what took points off is no reason in the list', async () => {
    await send(services, 'wrenfield', {
      body: 'The bread keeps for five days in a cloth and the crust is worth the walk, see crumbs.example',
    })
    const { lines } = await queueView(services, shop, wholeLane('held'), 10)
    expect([lines[0]!.kinds, lines[0]!.score < 36]).toEqual([['link'], true])
  })
  test('says in how many reviews of each list the words stand that are searched for', async () => {
    const bodies = [
      'The honey is dark',
      'Honeycomb came whole',
      'A plain hive',
      'Honey again, see honey.example',
    ]
    for (const body of bodies) await send(services, 'wrenfield', { body })
    const [first] = (await queueView(services, shop, everything, 10)).lines.slice(-1)
    await decide(services, shop, mara, first!.publicId, plainAct('approve'), 1)
    const searching = (typed: string) =>
      queueView(services, shop, { ...wholeLane('spam'), words: fullTextQuery(typed) }, 10)
    const { matches, lines } = await searching('honey')
    expect(lines).toEqual([])
    expect(matches).toEqual({ waiting: 1, held: 1, approved: 1, declined: 0, spam: 0, withdrawn: 0 })
    expect((await searching('propolis')).matches).toMatchObject({ waiting: 0, held: 0, approved: 0 })
    expect((await queueView(services, shop, everything, 10)).matches).toBeNull()
    const more = { ...wholeLane('spam'), words: fullTextQuery('honey'), rating: 500 }
    expect((await queueView(services, shop, more, 10)).matches).toBeNull()
  })
  test('holds nothing of another shop', async () => {
    await addShop(services, 'saltmarsh', [mara])
    await send(services, 'saltmarsh')
    expect((await queueView(services, shop, everything, 10)).lines).toEqual([])
    expect(await stepCounts(services, shop)).toEqual({ decide: 0 })
  })
})

test('the oldest that needs somebody is the oldest of both lanes', async () => {
  expect((await queueView(services, shop, everything, 10)).oldest).toBeNull()
  const held = await send(services, 'wrenfield', { token: undefined })
  hours(1)
  const waiting = await send(services, 'wrenfield')
  expect((await queueView(services, shop, everything, 10)).oldest).toMatchObject({
    publicId: held.publicId,
    state: 'held',
  })
  await decide(services, shop, mara, held.publicId, plainAct('spam'), 1)
  expect((await queueView(services, shop, everything, 10)).oldest?.publicId).toBe(waiting.publicId)
})

test('the lane to open is the review’s own, else waiting, else held back', async () => {
  expect(await laneToOpen(services, shop, null)).toBe('waiting')
  const held = await send(services, 'wrenfield', { token: undefined })
  expect(await laneToOpen(services, shop, null)).toBe('held')
  const waiting = await send(services, 'wrenfield')
  expect(await laneToOpen(services, shop, null)).toBe('waiting')
  expect(await laneToOpen(services, shop, held.publicId)).toBe('held')
  await decide(services, shop, mara, waiting.publicId, plainAct('approve'), 1)
  expect(await laneToOpen(services, shop, waiting.publicId)).toBe('approved')
})

test('next and previous are the neighbours in the narrowed lane, from outside of it too', async () => {
  const ids: string[] = []
  for (const rating of [4, 5, 4, 4]) ids.push((await send(services, 'wrenfield', { rating })).publicId)
  const inner = async (publicId: string) => (await reviewView(services, shop, publicId))!.review.id
  const around = async (publicId: string) => {
    const { after, before } = await neighbours(
      services,
      shop,
      { ...wholeLane('waiting'), rating: 400 },
      await inner(publicId),
    )
    return [after?.publicId ?? null, before?.publicId ?? null]
  }
  expect(await around(ids[3]!)).toEqual([ids[2], null])
  expect(await around(ids[2]!)).toEqual([ids[0], ids[3]])
  expect(await around(ids[1]!)).toEqual([ids[0], ids[2]])
  expect(await around(ids[0]!)).toEqual([null, ids[2]])
})

describe('one review in full', () => {
  test('says what else came from its email address before, and how the product stands', async () => {
    await send(services, 'wrenfield', { product: 'HK-2', rating: 5 })
    const second = await send(services, 'wrenfield', {
      product: 'HK-2',
      author_email: 'PIOTR@lis.example',
      rating: 3,
    })
    await send(services, 'wrenfield', { author_email: 'else@lis.example' })
    await decide(services, shop, mara, second.publicId, plainAct('approve'), 1)
    const view = (await reviewView(services, shop, second.publicId))!
    expect(view.earlier).toBe(1)
    expect(view.productTally).toMatchObject({ count: 1, average: 300 })
    expect(JSON.stringify(view)).not.toContain('salt')
  })
  test('tells why there is no proof', async () => {
    const { publicId } = await send(services, 'wrenfield', {
      order_number: 'WB-2091',
      author_name: 'Tess Barrow',
    })
    const { review, proof } = (await reviewView(services, shop, publicId))!
    expect([review.verified, review.proofFailure, review.claimedOrder, proof]).toEqual([
      false,
      'otherName',
      'WB-2091',
      null,
    ])
  })
})

test('the last act is one’s own, of this shop and of this hour', async () => {
  const ned = await addMember(services, 'Ned')
  const { publicId } = await send(services, 'wrenfield')
  expect(await latestOwnAct(services, shop, mara)).toBeNull()
  expect(await canUndo(services, shop, mara)).toBe(false)
  await decide(services, shop, mara, publicId, plainAct('decline'), 1)
  expect([await canUndo(services, shop, mara), await canUndo(services, shop, ned)]).toEqual([true, false])
  expect(await latestOwnAct(services, shop, mara)).toMatchObject({
    act: 'decline',
    authorName: 'Piotr Lis',
    state: 'declined',
  })
  expect(await latestOwnAct(services, shop, ned)).toBeNull()
  await undo(services, shop, mara)
  expect(await latestOwnAct(services, shop, mara)).toMatchObject({ act: 'undo', state: 'waiting' })
  expect(await canUndo(services, shop, mara)).toBe(false)
  hours(2)
  expect(await latestOwnAct(services, shop, mara)).toBeNull()
})

test('Gather counts these thirty days, by form and in all, and lists the latest whatever became of them', async () => {
  await send(services, 'wrenfield', { author_name: 'Long Ago' })
  hours(31 * 24)
  await send(services, 'wrenfield', { order_number: 'WB-2091' })
  const held = await send(services, 'wrenfield', { token: undefined, author_name: 'Held Back' })
  await decide(services, shop, mara, held.publicId, plainAct('spam'), 1)
  const view = await gatherView(services, shop)
  expect(view.arrivals).toEqual({ own: { count: 2, verified: 1 }, elsewhere: 0 })
  expect(view.forms).toMatchObject([
    { address: 'https://reviews.wrenfield.example/f/wrenfield', arrivals: 2 },
  ])
  expect(view.latest.map(({ authorName, state }) => [authorName, state])).toEqual([
    ['Held Back', 'spam'],
    ['Piotr Lis', 'waiting'],
    ['Long Ago', 'waiting'],
  ])
})

test('the next step is deciding, then showing what is ready', async () => {
  expect(await nextStep(services, { ...shop, role: 'owner' })).toMatchObject({
    toDecide: 0,
    ready: 0,
    display: { live: false },
  })
  const { publicId } = await send(services, 'wrenfield')
  expect(await nextStep(services, { ...shop, role: 'owner' })).toMatchObject({ toDecide: 1, ready: 0 })
  await decide(services, shop, mara, publicId, plainAct('approve'), 1)
  expect(await nextStep(services, { ...shop, role: 'owner' })).toMatchObject({ toDecide: 0, ready: 1 })
})

test('products that nobody wrote about are named with how often they were sold', async () => {
  const quiet = async () => (await gatherView(services, shop)).unreviewed.first
  expect(await quiet()).toEqual([{ sku: 'HK-2', title: 'Hive kit', picture: null, sold: 1 }])
  const { publicId } = await send(services, 'wrenfield', { product: 'HK-2' })
  expect(await quiet()).toEqual([])
  await decide(services, shop, mara, publicId, plainAct('spam'), 1)
  expect(await quiet()).toHaveLength(1)
})
