import fc from 'fast-check'
import { expect, test } from 'vitest'
import { firstWrong, paintedFault, type TextReading } from './paintedFault'

const readable: TextReading = {
  isVisible: true,
  isInFront: true,
  isInPlace: true,
  size: 16,
  leading: 1.5,
  contrast: 12,
}

test.each([
  ['invisible', { isVisible: false }],
  ['covered', { isInFront: false }],
  ['misplaced', { isInPlace: false }],
  ['small', { size: 10.9 }],
  ['small', { leading: 0.9 }],
  ['faint', { contrast: 2.9 }],
  [null, { size: 11, leading: 0.95, contrast: 3 }],
] as const)('%s: %j', (fault, change) => {
  expect(paintedFault({ ...readable, ...change }, readable)).toBe(fault)
})

test('what was so without own CSS is not its fault', () => {
  for (const change of [{ isVisible: false }, { isInFront: false }, { isInPlace: false }, { size: 9 }]) {
    const same = { ...readable, ...change }
    expect(paintedFault(same, same)).toBeNull()
  }
  expect(paintedFault({ ...readable, contrast: 2 }, { ...readable, contrast: 2.5 })).toBe('faint')
})

test('the rule that makes a text unreadable is found in few trials', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 400 }), fc.nat(), (count, pick) => {
      const culprit = 1 + (pick % count)
      let trials = 0
      const found = firstWrong(count, (rules) => {
        trials++
        return rules >= culprit
      })
      expect(found).toBe(culprit)
      expect(trials).toBeLessThanOrEqual(Math.ceil(Math.log2(count)))
    }),
  )
})
