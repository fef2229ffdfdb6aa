import { expect, test } from 'vitest'
import { firstFree, slugOf } from './slug'

test.each([
  ['Wrenfield Bee Supply', 'wrenfield-bee-supply'],
  ['Töpferei & Söhne', 'topferei-sohne'],
  ['  --Ł.ódź-- ', 'l-odz'],
  ['麦 🐝', 'shop'],
  ['a'.repeat(60), 'a'.repeat(40)],
])('%j is %j in an address', (name, slug) => {
  expect(slugOf(name)).toBe(slug)
})

test('a taken one gets the first free number', async () => {
  const taken = new Set(['shop', 'shop-2'])
  const isTaken = (name: string) => Promise.resolve(taken.has(name))
  expect(await firstFree('shop', isTaken)).toBe('shop-3')
  expect(await firstFree('other', isTaken)).toBe('other')
})
