import { beforeEach, expect, test } from 'vitest'
import { addMember, addShop, allShowable, send, testServices } from '../../tests/support/shop'
import { verifyChain } from '../data/decisions'
import { findReview, signalsOfVersion } from '../data/reviewReading'
import { insertRule } from '../data/rules'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

let services: Services
let shop: Shop
beforeEach(async () => {
  ;({ services } = await testServices())
  shop = await addShop(services, 'wrenfield', [await addMember(services, 'Mara')])
})

const log = async (reviewId: number) =>
  services
    .db('decision')
    .where({ review_id: reviewId, shop_id: shop.id })
    .orderBy('number')
    .select<{ act: string; actor: string }[]>('act', 'actor')

test('a rule of the shop decides as itself, and says so in a signal', async () => {
  await insertRule(services.db, shop.id, {
    id: 'praise',
    name: 'Good ratings',
    when: [{ on: 'rating', atLeast: 400 }],
    then: 'approved',
    position: 1,
    now: services.now().toISOString(),
  })
  const good = await send(services, 'wrenfield', { rating: 5 })
  const bad = await send(services, 'wrenfield', {
    rating: 1,
    body: 'It broke after a week.',
    author_email: 'other@post.example',
  })
  expect([good.state, bad.state]).toEqual(['approved', 'waiting'])
  const review = (await findReview(services.db, shop.id, { publicId: good.publicId }))!
  expect(await log(review.id)).toEqual([
    { act: 'arrive', actor: 'customer' },
    { act: 'rule', actor: 'rule:praise' },
  ])
  const signals = await signalsOfVersion(services.db, shop.id, review.versionId)
  expect(signals.filter(({ kind }) => kind === 'approvingRule')).toMatchObject([{ points: 0 }])
  expect(await allShowable(services, shop)).toHaveLength(1)
  expect((await verifyChain(services.db, shop.id)).holds).toBe(true)
})

test('a rule that this version can’t read is passed over, and reviews still come in', async () => {
  const row = { shop_id: shop.id, name: 'Later', position: 1, created_at: '' }
  await services
    .db('rule')
    .insert({ ...row, public_id: 'later', rule: '{"id":"later","when":[{"on":"mood"}]}' })
  expect((await send(services, 'wrenfield')).state).toBe('waiting')
})
