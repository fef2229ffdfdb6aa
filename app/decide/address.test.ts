import { expect, test } from 'vitest'
import { queuePath, readQueueSearch } from './address'

const read = (search: string) => readQueueSearch(new URLSearchParams(search))

test('an address holds lane, filter, order and how many are shown, and nothing that is plain anyway', () => {
  expect(queuePath('wrenfield', null, {})).toBe('/s/wrenfield/decide')
  expect(queuePath('wrenfield', 'abc', { lane: 'held', rating: 5, q: 'two frames', show: 100 })).toBe(
    '/s/wrenfield/decide/abc?lane=held&rating=5&q=two+frames&show=100',
  )
  expect(queuePath('wrenfield', 'abc', { lane: 'held', sort: 'newest', show: 50 })).toBe(
    '/s/wrenfield/decide/abc?lane=held',
  )
})

test('what is written is read again', () => {
  const search = {
    lane: 'spam' as const,
    rating: 2,
    product: 'HK-2',
    bought: 'yes' as const,
    from: '2026-05-03',
    sort: 'lowest' as const,
    show: 150,
  }
  expect(read(queuePath('wrenfield', null, search).replace('/s/wrenfield/decide', ''))).toMatchObject(search)
})

test.each([
  '?lane=everything',
  '?rating=9',
  '?rating=two',
  '?show=-4',
  '?show=1e9',
  '?lane=',
  '?bought=maybe',
  '?from=yesterday',
  '?sort=random',
  '?q=%20',
])('%s falls back to what is plain', (search) => {
  expect(Object.entries(read(search)).filter(([, value]) => value !== undefined)).toEqual([['show', 50]])
})
