import { beforeEach, expect, test } from 'vitest'
import { plainAct } from '../../core/moderation/reviewAct'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import type { MemberShop } from '../data/shops'
import { decide } from '../moderation/decide'
import type { Services } from '../services'
import { find } from './find'

let services: Services
let mara: TestMember
let owner: MemberShop
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  owner = { ...(await addShop(services, 'wrenfield', [mara])), role: 'owner' }
})

const keyOf = async (author: string): Promise<string> => (await find(services, owner, author)).reviews[0]!.key

test('reviews are found in every list and script by beginnings of words, latest first, with the words around', async () => {
  await send(services, 'wrenfield', {
    author_name: 'Anna Berg',
    body: 'We have kept bees for years, and this honey extractor is the first one that my father did not mend.',
  })
  await send(services, 'wrenfield', { author_name: 'Jun', body: 'この蜂蜜がとてもおいしいです' })
  await send(services, 'wrenfield', { author_name: 'Tom', body: 'My Honeycomb frames fit well.' })
  await decide(services, owner, mara, await keyOf('Tom'), plainAct('approve'), 1)
  const { lists, reviews } = await find(services, owner, 'hon')
  expect(lists).toMatchObject({ waiting: 1, approved: 1, declined: 0 })
  expect(reviews.map(({ author, state }) => [author, state])).toEqual([
    ['Tom', 'approved'],
    ['Anna Berg', 'waiting'],
  ])
  expect(reviews[1]!.text).toContain('this honey extractor')
  expect((await find(services, owner, '蜂蜜')).reviews.map(({ author }) => author)).toEqual(['Jun'])
  expect((await find(services, owner, 'honey frames')).reviews.map(({ author }) => author)).toEqual(['Tom'])
})

test('customers are found by name and by address, with how many they wrote', async () => {
  for (const body of ['The lid fits well.', 'The second smoker is just as good.'])
    await send(services, 'wrenfield', { author_name: 'Anna Berg', author_email: 'anna@berg.example', body })
  const anna = { name: 'Anna Berg', address: 'anna@berg.example', count: 2 }
  expect((await find(services, owner, 'berg')).customers).toMatchObject([anna])
  expect((await find(services, owner, 'ANNA@be')).customers).toMatchObject([anna])
  expect((await find(services, owner, 'smoker')).customers).toEqual([])
})

test('a helper finds reviews, and no address, product or display; another shop finds nothing', async () => {
  await send(services, 'wrenfield', { author_name: 'Anna Berg', author_email: 'anna@berg.example' })
  const asOwner = await find(services, owner, 'anna')
  expect(asOwner.customers).toHaveLength(1)
  expect((await find(services, owner, 'hive')).products.length).toBeGreaterThan(0)
  const helper: MemberShop = { ...owner, role: 'helper' }
  for (const typed of ['anna', 'anna@berg', 'hive', 'form']) {
    const found = await find(services, helper, typed)
    expect(JSON.stringify(found)).not.toContain('berg.example')
    expect([found.customers, found.products, found.forms, found.displays, found.listings].flat()).toEqual([])
  }
  expect((await find(services, helper, 'anna')).reviews).toHaveLength(1)
  const other: MemberShop = { ...(await addShop(services, 'saltmarsh', [mara])), role: 'owner' }
  const elsewhere = await find(services, other, 'anna')
  expect([elsewhere.reviews, elsewhere.customers].flat()).toEqual([])
  expect(elsewhere.lists).toMatchObject({ waiting: 0, held: 0, approved: 0 })
})

test('forms are found by their names, and signs alone find nothing', async () => {
  expect((await find(services, owner, 'FORM sh')).forms).toMatchObject([{ name: 'Shop form' }])
  const nothing = await find(services, owner, '"*() -')
  expect(nothing.lists).toBeNull()
  expect(Object.values({ ...nothing, lists: [] }).flat()).toEqual([])
})
