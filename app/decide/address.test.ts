import { expect, test } from 'vitest'
import { queuePath, readQueueSearch } from './address'

const read = (search: string) =>
  readQueueSearch(new Request(`https://reviews.example/s/wrenfield/decide${search}`))

test('an address holds lane, rating and how many are shown, and nothing that is plain anyway', () => {
  expect(queuePath('wrenfield', null, {})).toBe('/s/wrenfield/decide')
  expect(queuePath('wrenfield', 'abc', { lane: 'held', rating: 5, show: 100 })).toBe(
    '/s/wrenfield/decide/abc?lane=held&rating=5&show=100',
  )
  expect(queuePath('wrenfield', 'abc', { lane: 'held', show: 50 })).toBe('/s/wrenfield/decide/abc?lane=held')
})

test('what is written is read again', () => {
  const search = { lane: 'spam' as const, rating: 2, show: 150 }
  expect(read(queuePath('wrenfield', null, search).replace('/s/wrenfield/decide', ''))).toEqual(search)
})

test.each(['?lane=everything', '?rating=9', '?rating=two', '?show=-4', '?show=1e9', '?lane='])(
  '%s falls back to what is plain',
  (search) => {
    expect(read(search)).toEqual({ lane: undefined, rating: undefined, show: 50 })
  },
)
