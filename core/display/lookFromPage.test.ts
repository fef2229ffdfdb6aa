import { expect, test } from 'vitest'
import { lookFromPage } from './lookFromPage'
import { startingTheme } from './startingTheme'
import { themeSchema } from './themeSchema'

test('headings, buttons and cards of a page become the look', () => {
  const theme = lookFromPage({
    textSize: 16,
    heading: { size: 36, weight: 780, isCapitals: true, isItalic: false },
    button: { isFilled: true, hasBorder: false, corners: 6 },
    card: {
      sides: { top: true, bottom: false, start: false, end: false },
      lineWidth: 1,
      corners: 0,
      hasShadow: false,
      isFilled: false,
      padding: 14,
    },
  })
  expect(themeSchema.parse(theme)).toEqual(theme)
  expect(theme).toMatchObject({
    frame: 'rule',
    card: { lineWidth: 1, corners: 0, shadow: 'none', padding: 14 },
    buttons: { form: 'filled', corners: 6 },
    texts: { title: { size: 150, weight: 800, capitals: true } },
  })
})

test('what a page does not have stays as in a new display, and extremes are bounded', () => {
  expect(lookFromPage({ textSize: 16, heading: null, button: null, card: null })).toEqual(startingTheme)
  const theme = lookFromPage({
    textSize: 10,
    heading: { size: 300, weight: 100, isCapitals: false, isItalic: true },
    button: { isFilled: false, hasBorder: false, corners: 999 },
    card: {
      sides: { top: true, bottom: true, start: true, end: true },
      lineWidth: 40,
      corners: 999,
      hasShadow: true,
      isFilled: true,
      padding: 400,
    },
  })
  expect(themeSchema.parse(theme)).toEqual(theme)
  expect(theme).toMatchObject({
    frame: 'box',
    buttons: { form: 'text' },
    card: { shadow: 'soft', fill: 'tint' },
  })
})
