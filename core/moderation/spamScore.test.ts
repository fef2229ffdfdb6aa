import { expect, test } from 'vitest'
import { spamScore } from './spamScore'

test.each([
  [[], 0],
  [[30, 12], 42],
  [[90, 40], 100],
  [[20, -50], 0],
])('points %o make a score of %i', (points, score) => {
  expect(spamScore(points.map((one) => ({ points: one })))).toBe(score)
})
