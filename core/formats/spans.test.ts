import { expect, test } from 'vitest'
import { spansUntil } from './spans'

test('spans end today or with the month before, also across a year', () => {
  expect(spansUntil('2026-01-03')).toEqual([
    { name: 'lastWeek', from: '2025-12-28', to: undefined },
    { name: 'lastThirty', from: '2025-12-05', to: undefined },
    { name: 'lastMonth', from: '2025-12-01', to: '2025-12-31' },
    { name: 'thisYear', from: '2026-01-01', to: undefined },
  ])
  expect(spansUntil('2028-03-31')[2]).toEqual({ name: 'lastMonth', from: '2028-02-01', to: '2028-02-29' })
})
