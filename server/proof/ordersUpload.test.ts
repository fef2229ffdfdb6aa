import { beforeEach, expect, test } from 'vitest'
import { importOrderText } from '../../tests/support/orders'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import type { ReviewAct } from '../../core/moderation/reviewAct'
import { findReview, proofOfReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import type { Services } from '../services'

let services: Services
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})
const heading = 'number,email,name,product_sku,product_title,placed_at,delivered_at,status'
async function bring(...rows: string[]) {
  const { state, error, report } = await importOrderText(services, shop, [heading, ...rows].join('\n'))
  expect([state, error]).toEqual(['done', null])
  return report
}
const found = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
const act = async (publicId: string, chosen: ReviewAct) =>
  (await decide(services, shop, mara, publicId, chosen, (await found(publicId)).revision)).outcome
const anna = { author_name: 'Anna Berg', author_email: 'anna@berg.example', order_number: 'wb 7' }
const row = 'WB-7,anna@berg.example,Anna Berg,HK-2,Hive kit,2026-03-01,2026-03-09'

test('rows come in once, are brought up to date, and their products with them', async () => {
  expect(
    await bring(`${row},shipped`, 'WB-8,x@y.example,X Y,NEW,A new thing,2026-03-01,,placed'),
  ).toMatchObject({
    rows: 2,
    newOrders: 2,
    newLines: 2,
    newProducts: 1,
    changedLines: 0,
  })
  expect(await bring(`${row},delivered`)).toMatchObject({
    newOrders: 0,
    newLines: 0,
    newProducts: 0,
    changedLines: 1,
  })
  expect(await bring(`${row},delivered`)).toMatchObject({ newLines: 0, changedLines: 0 })
  expect(await services.db('purchase').where({ number_key: 'WB7' })).toHaveLength(1)
})

test('a title that two products share belongs to the one whose SKU is given, and a row without a product is told', async () => {
  const { newProducts, problems } = await bring(
    'WB-9,,A,HK-9,Hive kit,2026-03-01,,placed',
    'WB-9,,A,,Hive kit,2026-03-01,,placed',
    'WB-10,,A,,,2026-03-01,,placed',
  )
  expect([newProducts, problems.map(({ row, field }) => [row, field])]).toEqual([1, [[3, 'product_sku']]])
  expect(await services.db('product').pluck('sku')).toEqual(['HK-2', 'HK-9'])
})

test('orders that come later prove what was written before, and a cancelled one proves it no more', async () => {
  const { publicId } = await send(services, 'wrenfield', anna)
  expect((await found(publicId)).verified).toBe(false)
  const { changes } = await bring(`${row},delivered`)
  expect(changes).toEqual([
    { publicId, authorName: 'Anna Berg', verified: true, why: 'proof.short.orderNumber?number=WB-7' },
  ])
  expect([(await found(publicId)).verified, (await found(publicId)).proofFailure]).toEqual([true, null])
  expect((await bring(`${row},delivered`)).changes).toEqual([])
  expect((await bring(`${row},cancelled`)).changes).toMatchObject([{ publicId, verified: false }])
  expect([(await found(publicId)).verified, (await found(publicId)).proofFailure]).toEqual([
    false,
    'cancelled',
  ])
  const { history } = (await reviewView(services, shop, publicId))!
  expect(history.map((entry) => entry.act)).toEqual(['arrive', 'prove', 'unprove'])
})

test('a typed email address that nobody confirmed proves nothing, whatever orders come', async () => {
  const { publicId } = await send(services, 'wrenfield', {
    ...anna,
    order_number: '',
    author_name: 'A rival',
  })
  expect((await bring(`${row},delivered`)).changes).toEqual([])
  expect((await found(publicId)).verified).toBe(false)
})

test('by hand with a reason, taken away with one, and undo brings back each', async () => {
  const { publicId } = await send(services, 'wrenfield', { ...anna, order_number: '' })
  expect(await act(publicId, { kind: 'vouch', reason: 'I served her at the fair' })).toBe('done')
  const { id } = await found(publicId)
  const proof = () => proofOfReview(services.db, shop.id, id)
  expect(await proof()).toMatchObject({
    method: 'manual',
    reason: 'I served her at the fair',
    orderNumber: null,
  })
  expect(await act(publicId, { kind: 'unvouch', reason: 'It was her sister' })).toBe('done')
  expect([await proof(), (await found(publicId)).verified]).toEqual([undefined, false])
  await undo(services, shop, mara)
  expect([(await proof())?.method, (await found(publicId)).verified]).toEqual(['manual', true])
  await undo(services, shop, mara)
  expect((await found(publicId)).verified).toBe(false)
})

test('a mark that was taken away by hand is not put back by orders', async () => {
  const { publicId } = await send(services, 'wrenfield', anna)
  await bring(`${row},delivered`)
  await act(publicId, { kind: 'unvouch', reason: 'A gift of ours' })
  expect((await bring(`${row},returned`)).changes).toEqual([])
  expect((await found(publicId)).verified).toBe(false)
})

test('a file that is no table of orders is refused in plain words, and not tried again', async () => {
  expect(await importOrderText(services, shop, 'a,b\n1,2')).toMatchObject({
    state: 'failed',
    error: expect.stringContaining('noColumn?column=number'),
  })
})
