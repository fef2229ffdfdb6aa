import { expect, test } from 'vitest'
import { configured } from '../../tests/support/display'
import { changedKeys } from './changedKeys'

test('two changes of one setting are alike, of two they are not', () => {
  const start = configured()
  const keys = (changed: Parameters<typeof configured>[0]) => changedKeys(start, configured(changed))
  expect(keys({ title: 'A' })).toBe(keys({ title: 'AB' }))
  expect(keys({ selection: { limit: 3 } })).toBe('selection.limit')
  expect(keys({ selection: { limit: 3 }, theme: { density: 120 } })).toBe('selection.limit,theme.density')
  expect(keys({ heading: { button: { words: 'Go', url: '' } } })).toBe('heading.button')
  expect(keys({})).toBe('')
})
