import { clampChroma, converter, formatHex, wcagContrast } from 'culori'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { nearestLegible } from './nearestLegible'

const toOklch = converter('oklch')
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

test('the nearest colour that can be read keeps the hue, and no smaller change would do', () => {
  fc.assert(
    fc.property(hex, hex, fc.constantFrom(3, 4.5), (colour, background, ratio) => {
      const legible = nearestLegible(colour, background, ratio)
      expect(wcagContrast(legible, background)).toBeGreaterThanOrEqual(ratio)
      if (wcagContrast(colour, background) >= ratio) {
        expect(legible).toBe(colour)
        return
      }
      const [before, after] = [toOklch(colour)!, toOklch(legible)!]
      if (before.c > 0.04 && after.c > 0.04)
        expect(Math.abs(((after.h! - before.h! + 540) % 360) - 180)).toBeLessThan(6)
      // Rounding to a screen's colours moves the lightness a little, near black by more.
      if (after.l < 0.2) return
      const change = Math.abs(after.l - before.l) - 0.02
      if (legible === '#ffffff') return
      for (let less = 0; less < change; less += 0.02)
        for (const l of [before.l - less, before.l + less]) {
          const shade = formatHex(clampChroma({ ...before, h: before.h ?? 0, l }, 'oklch'))
          expect(wcagContrast(shade, background)).toBeLessThan(ratio + 0.05)
        }
    }),
    { numRuns: 300 },
  )
})

test('it may become lighter as well as darker', () => {
  expect(toOklch(nearestLegible('#8a8a8a', '#6f6f6f', 4.5))!.l).toBeGreaterThan(toOklch('#8a8a8a')!.l)
  expect(toOklch(nearestLegible('#c0c0c0', '#ffffff', 4.5))!.l).toBeLessThan(toOklch('#c0c0c0')!.l)
})
