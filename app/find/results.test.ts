import { expect, test } from 'vitest'
import { recordOf } from '../../core/formats/keysOf'
import { reviewStates } from '../../core/moderation/rules'
import type { Found } from '../../server/search/find'
import { pagesFor } from './pages'
import { groupsOf, type Where } from './results'

const found: Found = {
  lists: { ...recordOf(reviewStates, () => 0), waiting: 2, approved: 100 },
  reviews: [],
  customers: [{ key: 'r1', name: 'Anna', address: 'anna@berg.example', count: 2 }],
  products: ['a', 'b'].map((key) => ({ key, title: key, sku: key })),
  forms: [],
  displays: [],
  listings: [],
}
const where: Where = { shop: 'wrenfield', isOwner: true, openList: null }
const names = (at: Where) => groupsOf(found, 'hon', at, new Set()).map(({ name }) => name)

test('in Decide the lists come first, with the open one leading; elsewhere after the reviews', () => {
  expect(names(where)).toEqual(['lists', 'customers', 'products'])
  const [lists] = groupsOf(found, 'hon', { ...where, openList: 'approved' }, new Set())
  expect(lists!.results.map(({ state, about }) => [state, about])).toEqual([
    ['approved', '100 or more'],
    ['waiting', '2'],
  ])
  expect(lists!.results[0]!.to).toBe('/s/wrenfield/decide?lane=approved&q=hon')
})

test('what was found lately leads its group', () => {
  const recent = new Set(['/s/wrenfield/gather/products/b'])
  const products = groupsOf(found, 'x', where, recent).find(({ name }) => name === 'products')
  expect(products!.results.map(({ title }) => title)).toEqual(['b', 'a'])
})

test('pages are found by their names and other words; a helper finds hers', () => {
  const keys = (typed: string, isOwner = true) => pagesFor('w', isOwner, typed).map(({ key }) => key)
  expect(keys('new f')).toEqual(['newForm'])
  expect(keys('fonts')).toEqual(['style'])
  expect(keys('SMTP')).toEqual(['email'])
  expect(keys('wid', false)).toEqual([])
  expect(keys('by hand', false)).toEqual(['write'])
  expect(keys(' ')).toEqual([])
})
