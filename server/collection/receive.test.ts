import { provableReviews } from '../data/evidence'
import { beforeEach, describe, expect, test } from 'vitest'
import { laneCounts } from '../data/reviewCounts'
import { findReview, proofOfReview, signalsOfVersion } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { addShop, send, testServices } from '../../tests/support/shop'
import { openForm, submitForm } from './customerForm'
import { cleanUp } from '../cleanUp/cleanUp'
import { issueFormToken, readFormToken } from './formToken'

let services: Services
let clock: { now: Date }
let shop: Shop
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  shop = await addShop(services, 'wrenfield', [])
})
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!

describe('a token', () => {
  const tokenOf = async () =>
    issueFormToken(
      services.signingKey,
      (await openForm(services, 'wrenfield'))!.form.publicId,
      'nonce',
      new Date(clock.now.getTime() - 60_000),
    )

  test('is kept once, and answered with the first answer', async () => {
    const token = await tokenOf()
    const first = await send(services, 'wrenfield', { token })
    await services.db('review').update({ state: 'declined' })
    const second = await send(services, 'wrenfield', { token, body: 'Something else' })
    expect(second).toEqual({
      publicId: first.publicId,
      state: 'waiting',
      showable: true,
      hasAddress: true,
      confirm: false,
      unconfirmed: false,
    })
    expect((await found(first.publicId)).body).toBe('Cut true and easy to put together.')
    expect(await services.db('review').count({ n: '*' })).toEqual([{ n: 1 }])
  })
  test('sent twice in the same moment is still kept once', async () => {
    const token = await tokenOf()
    const answers = await Promise.all([1, 2, 3].map(() => send(services, 'wrenfield', { token })))
    expect(new Set(answers.map(({ publicId }) => publicId)).size).toBe(1)
    expect(await services.db('review').count({ n: '*' })).toEqual([{ n: 1 }])
  })
  test('of another form, altered, from the future or too old says nothing', async () => {
    const token = await tokenOf()
    const { publicId } = (await openForm(services, 'wrenfield'))!.form
    const read = (given: string, at = clock.now) => readFormToken(services.signingKey, publicId, given, at)
    expect(read(token)).toBe(60)
    expect(readFormToken(services.signingKey, 'other', token, clock.now)).toBeNull()
    expect(read(token.slice(0, -1) + (token.endsWith('A') ? 'B' : 'A'))).toBeNull()
    expect(
      read(token.replace(/^[^.]+/, (stamp) => (parseInt(stamp, 36) - 9_000_000).toString(36))),
    ).toBeNull()
    expect(read('')).toBeNull()
    expect(read('a.b.c')).toBeNull()
    expect(read(token, new Date(clock.now.getTime() - 120_000))).toBeNull()
    expect(read(token, new Date(clock.now.getTime() + 8 * 86_400_000))).toBeNull()
  })
  test('missing, it holds the review without points and keeps two equal ones apart', async () => {
    const [one, other] = [
      await send(services, 'wrenfield', { token: undefined }),
      await send(services, 'wrenfield', { token: undefined }),
    ]
    expect([one.state, other.state]).toEqual(['held', 'held'])
    expect(one.publicId).not.toBe(other.publicId)
    const review = await found(one.publicId)
    expect(review.score).toBe(0)
    expect((await signalsOfVersion(services.db, shop.id, review.versionId)).map(({ kind }) => kind)).toEqual([
      'notoken',
    ])
  })
})

test('a purchase proven by number and name is kept as evidence', async () => {
  const { publicId, state } = await send(services, 'wrenfield', { order_number: 'wb 2091', product: 'HK-2' })
  const review = await found(publicId)
  expect([state, review.verified, review.proofFailure, review.productTitle]).toEqual([
    'waiting',
    true,
    null,
    'Hive kit',
  ])
  expect(await proofOfReview(services.db, shop.id, review.id)).toEqual({
    method: 'orderNumber',
    orderNumber: 'WB-2091',
    productTitle: 'Hive kit',
    deliveredAt: '2026-03-09T10:00:00.000Z',
    reason: '',
  })
})

test('without an email address there is no proof, no email and no name to make up', async () => {
  const nameless = { author_name: '', author_email: '', rating: null, order_number: 'WB-2091' }
  const receipt = await send(services, 'wrenfield', nameless)
  expect(receipt).toMatchObject({ state: 'waiting', hasAddress: false, confirm: false })
  const review = await found(receipt.publicId)
  expect([review.verified, review.proofFailure, review.rating]).toEqual([false, 'noEmail', null])
  expect(await provableReviews(services.db, shop.id, 0, 10)).toEqual([])
  expect(await services.db('mail')).toEqual([])
})

test('another shop’s order proves nothing here', async () => {
  await addShop(services, 'saltmarsh', [])
  await services.db('purchase').where({ shop_id: shop.id }).update({ number_key: 'GONE' })
  const review = await found((await send(services, 'wrenfield', { order_number: 'WB-2091' })).publicId)
  expect([review.verified, review.proofFailure]).toEqual([false, 'unknownNumber'])
})

test('places are kept with their reasons, in units of the text as it came', async () => {
  const body = '🐝 my order is wb-2091, see hivedeals.example'
  const { publicId, state } = await send(services, 'wrenfield', { body })
  const review = await found(publicId)
  const signals = await signalsOfVersion(services.db, shop.id, review.versionId)
  expect(state).toBe('held')
  expect(
    signals
      .filter(({ kind }) => kind !== 'wording')
      .map(({ kind, points, places }) => [
        kind,
        points,
        places.map(({ start, end }) => body.slice(start, end)),
      ]),
  ).toEqual([
    ['link', 36, ['hivedeals.example']],
    ['personal', 0, ['wb-2091']],
  ])
})

test('words and names are kept exactly as they came', async () => {
  const given = {
    title: ' <b>T</b> ',
    body: '  <script>alert(1)</script>\n“ok”  ',
    author_name: " O'Neill; DROP TABLE ",
  }
  const review = await found((await send(services, 'wrenfield', given)).publicId)
  expect([review.title, review.body, review.authorName]).toEqual([given.title, given.body, given.author_name])
})

test('without consent it is for the shop alone, with the words she was asked', async () => {
  const { publicId } = await send(services, 'wrenfield', { consent: false })
  expect((await found(publicId)).showable).toBe(false)
  expect(await services.db('review_version').first('consent_answer', 'consent_text')).toEqual({
    consent_answer: 'refused',
    consent_text: 'wrenfield may show my review on its site',
  })
})

test('an email address is one customer, whatever its case', async () => {
  await send(services, 'wrenfield', { author_email: 'Piotr@Lis.example' })
  await send(services, 'wrenfield', { author_email: 'piotr@lis.example' })
  expect(await services.db('customer').pluck('address')).toEqual(['Piotr@Lis.example'])
})

test('the lanes count what came, and every arrival is in the log', async () => {
  await send(services, 'wrenfield')
  await send(services, 'wrenfield', { token: undefined })
  expect(await laneCounts(services.db, shop.id)).toMatchObject({ waiting: 1, held: 1, approved: 0, spam: 0 })
  expect(await services.db('decision').orderBy('number').select('number', 'act', 'member_id')).toEqual([
    { number: 1, act: 'arrive', member_id: null },
    { number: 2, act: 'arrive', member_id: null },
  ])
})

test('the network address that a review came from is forgotten after thirty days, the review is not', async () => {
  const form = (await openForm(services, 'wrenfield'))!
  const given = { rating: 4, title: '', body: 'It fits.', author_name: 'P', author_email: 'p@lis.example' }
  const more = { order_number: '', product: '', consent: true, token: undefined, website: '', media: [] }
  await submitForm(services, form, { ...given, ...more }, { ip: '192.0.2.9' })
  const kept = () => services.db('review').pluck('ip')
  expect([(await cleanUp(services)).addresses, await kept()]).toEqual([0, ['192.0.2.9']])
  clock.now = new Date(clock.now.getTime() + 31 * 86_400_000)
  expect([(await cleanUp(services)).addresses, await kept()]).toEqual([1, ['']])
})
