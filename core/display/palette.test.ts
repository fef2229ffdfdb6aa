import { converter, wcagContrast } from 'culori'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { paletteOf } from './palette'

const toOklch = converter('oklch')
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

test('a palette goes from light to dark in the hue of the brand, and its ends can be read on each other', () => {
  fc.assert(
    fc.property(hex, (brand) => {
      const palette = paletteOf(brand)
      expect(palette).toHaveLength(9)
      const steps = palette.map((step) => toOklch(step)!)
      for (let i = 1; i < 9; i++) expect(steps[i]!.l).toBeLessThan(steps[i - 1]!.l)
      expect(wcagContrast(palette[0]!, palette[8]!)).toBeGreaterThan(7)
      const { c, h } = toOklch(brand)!
      const middle = steps[5]!
      // A hue can be told where there is colour.
      if (c > 0.06 && middle.c > 0.04) expect(Math.abs(((middle.h! - h! + 540) % 360) - 180)).toBeLessThan(8)
    }),
    { numRuns: 200 },
  )
})
