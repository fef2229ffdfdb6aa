import { expect, test } from 'vitest'
import { lacksWork, MOST_SUSPICION, suspicionOf, workFor } from './suspicion'

test('a household is not suspicious, a program is, and a flood makes everybody a little so', () => {
  const level = (fromAddress: number, toForm = 0) => suspicionOf({ fromAddress, toForm })
  expect([0, 2, 3, 6, 11, 21, 500].map((count) => level(count))).toEqual([0, 0, 1, 2, 3, 4, 4])
  expect([level(0, 20), level(0, 21), level(0, 61), level(30, 61)]).toEqual([0, 1, 2, MOST_SUSPICION])
})

test('each level takes about four times the work of the one before', () => {
  const tries = Array.from({ length: MOST_SUSPICION + 1 }, (_, level) => {
    const { rounds, digits } = workFor(level)
    return rounds * 16 ** digits
  })
  for (let level = 2; level < tries.length; level++)
    expect(tries[level]! / tries[level - 1]!).toBeCloseTo(4, 0)
  expect(tries[1]! / tries[0]!).toBeGreaterThanOrEqual(16)
})

test.each([
  ['the page with its work done', 0, true, 0, false],
  ['the page without scripts', 0, true, null, true],
  ['a program while all is calm', 0, false, null, false],
  ['a program that sends a dozen', 3, false, null, false],
  ['a program that sends much', 4, false, null, true],
  ['a page that was opened just before it became suspicious', 2, true, 1, false],
  ['work hoarded while all was calm', 3, true, 0, true],
])('%s', (_, level, sent, done, lacks) => {
  expect(lacksWork(level, sent, done)).toBe(lacks)
})
