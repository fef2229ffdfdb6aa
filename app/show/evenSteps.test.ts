import { expect, test } from 'vitest'
import { LARGEST_TEXT, SMALLEST_TEXT } from '../../core/display/choices'
import { evenSteps, nearestStep } from './evenSteps'

test('a slider from a half to three times has its normal size near the middle, and every step is another value', () => {
  const steps = evenSteps(SMALLEST_TEXT, LARGEST_TEXT, 5)
  expect([steps[0], steps.at(-1)]).toEqual([SMALLEST_TEXT, LARGEST_TEXT])
  expect(steps.every((step, i) => step % 5 === 0 && step > (steps[i - 1] ?? 0))).toBe(true)
  const place = nearestStep(steps, 100) / (steps.length - 1)
  const straight = (100 - SMALLEST_TEXT) / (LARGEST_TEXT - SMALLEST_TEXT)
  expect(place).toBeGreaterThan(2 * straight)
  expect(steps[nearestStep(steps, 102)]).toBe(100)
  expect(steps).toContain(200)
})
