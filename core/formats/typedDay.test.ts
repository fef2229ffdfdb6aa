import { expect, test } from 'vitest'
import { typedDay } from './typedDay'

test.each([
  ['2026-05-31', '2026-05-31'],
  [' 31.05.2026 ', '2026-05-31'],
  ['1/5/2026', '2026-05-01'],
  ['31.02.2026', null],
  ['2026-13-01', null],
  ['May 31', null],
])('%j is %j', (typed, day) => {
  expect(typedDay(typed)).toBe(day)
})
