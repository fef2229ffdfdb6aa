import { wcagContrast } from 'culori'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { beeShop, configured } from '../../tests/support/display'
import { brandShades } from './brand'
import { contrastFaults, resolveTheme, isDark, legibleOn, textOn } from './theme'

const { site } = beeShop
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

test('whatever the brand and the background, a display can be read from the start', () => {
  fc.assert(
    fc.property(hex, hex, fc.constantFrom('light', 'dark', 'colour'), (brand, colour, background) => {
      const used = resolveTheme(
        { ...configured().theme, background: background as 'light', colour },
        { ...site, brand },
      )
      expect(wcagContrast(used.text!, used.backgroundColour!)).toBeGreaterThanOrEqual(4.5)
      expect(wcagContrast(used.accent.light, used.backgroundColour!)).toBeGreaterThanOrEqual(3)
      expect(
        contrastFaults(
          { ...configured().theme, background: background as 'light', colour },
          { ...site, brand },
        ),
      ).toEqual([])
    }),
    { numRuns: 60 },
  )
})

describe('a colour that cannot be told from its background', () => {
  test('is named with its contrast, and legible by the nearest that can', () => {
    const theme = { ...configured().theme, accent: '#f3e3b3' }
    const [fault] = contrastFaults(theme, site)
    expect(fault).toMatchObject({ what: 'accent', needed: 3 })
    expect(fault!.ratio).toBeLessThan(1.3)
    expect(contrastFaults({ ...theme, accent: fault!.legible }, site)).toEqual([])
  })
  test('is told of words on a background of the owner’s too', () => {
    const theme = { ...configured().theme, background: 'colour' as const, colour: '#ffffff', text: '#cccccc' }
    const [fault] = contrastFaults(theme, site)
    expect(fault!.what).toBe('text')
    expect(wcagContrast(fault!.legible, '#ffffff')).toBeGreaterThanOrEqual(4.5)
  })
  test('is left alone where it can', () => {
    expect(legibleOn('#123456', '#ffffff', 4.5)).toBe('#123456')
  })
})

test('a light yellow grows warmer as it darkens, so that stars do not look like mud', () => {
  const [red, green, blue] = [1, 3, 5].map((at) =>
    parseInt(legibleOn('#e9b949', '#ffffff', 3.4).slice(at, at + 2), 16),
  )
  expect(red! - green!).toBeGreaterThan(60)
  expect(green! - blue!).toBeGreaterThan(30)
})

test('light and dark change places where the page’s code asks for it; the page’s own background stays', () => {
  const on = (background: 'light' | 'dark' | 'page', scheme: 'light' | 'dark') =>
    resolveTheme({ ...configured().theme, background }, site, scheme).background
  expect([on('light', 'dark'), on('dark', 'light'), on('dark', 'dark'), on('page', 'dark')]).toEqual([
    'dark',
    'light',
    'dark',
    'page',
  ])
  expect([isDark('#101a1d'), isDark('#fcf7eb')]).toEqual([true, false])
  expect(wcagContrast(textOn('#7c4a5e'), '#7c4a5e')).toBeGreaterThan(4.5)
})

test('a shop’s colours hold their contrast whatever its brand is', () => {
  for (const brand of ['#e9b949', '#7c4a5e', '#ffffff', '#ffff00', '#000000', 'rebeccapurple']) {
    const shades = brandShades(brand)
    expect(wcagContrast(shades.button, '#ffffff')).toBeGreaterThanOrEqual(4.5)
    expect(wcagContrast(shades.edge, '#ffffff')).toBeGreaterThanOrEqual(3)
    expect(wcagContrast(shades.onFill, shades.fill)).toBeGreaterThanOrEqual(4.5)
    expect(wcagContrast('#13262c', shades.background)).toBeGreaterThanOrEqual(4.5)
  }
  expect(() => brandShades('honey')).toThrow(RangeError)
})

test('colours chosen on a light page can be read on a dark one too, and the other way round', () => {
  fc.assert(
    fc.property(hex, hex, fc.boolean(), (accent, title, onDark) => {
      const page = { ...site, background: onDark ? '#14181a' : '#fcf7eb' }
      const theme = { ...configured().theme, accent, texts: { title: { colour: title } } }
      const used = resolveTheme(theme, page)
      const elsewhere = onDark ? '#ffffff' : '#16211f'
      expect(used.accent[onDark ? 'dark' : 'light']).toBe(accent)
      expect(wcagContrast(used.accent[onDark ? 'light' : 'dark'], elsewhere)).toBeGreaterThanOrEqual(3)
      expect(used.textsElsewhere!.scheme).toBe(onDark ? 'light' : 'dark')
      expect(wcagContrast(used.textsElsewhere!.colours.title ?? title, elsewhere)).toBeGreaterThanOrEqual(4.5)
      const asked = resolveTheme({ ...theme, background: 'light' }, page, 'dark')
      expect(wcagContrast(asked.texts.title!.colour!, asked.backgroundColour!)).toBeGreaterThanOrEqual(4.5)
    }),
    { numRuns: 60 },
  )
})
