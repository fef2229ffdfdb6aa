import { wcagContrast } from 'culori'
import { expect, test } from 'vitest'
import { beeShop, configured } from '../../tests/support/display'
import {
  changedTexts,
  differsFromLook,
  groupAsInLook,
  isChangedLook,
  textAsInLook,
  themeBefore,
} from './lookChanges'
import { readyLooks, themeOfLook } from './looks'
import { resolveTheme } from './theme'
import { themeSchema } from './themeSchema'

test('every ready-made look is valid and unlike the others', () => {
  const themes = readyLooks.map(themeOfLook)
  for (const theme of themes) expect(themeSchema.parse(theme)).toEqual(theme)
  const bare = themes.map(({ look: _, ...theme }) => JSON.stringify(theme))
  expect(new Set(bare).size).toBe(readyLooks.length)
})

test('a changed part shows it and goes back alone; the others stay', () => {
  const before = themeOfLook('ledger')
  const changed = {
    ...before,
    buttons: { form: 'filled' as const, corners: 3 },
    texts: { ...before.texts, name: { size: 150 }, title: { ...before.texts.title, size: 200 } },
  }
  expect(isChangedLook(before, before)).toBe(false)
  expect(differsFromLook(changed, before, 'buttons')).toBe(true)
  expect(differsFromLook(changed, before, 'cards')).toBe(false)
  expect(changedTexts(changed, before)).toEqual(['title', 'name'])
  const oneBack = textAsInLook(changed, before, 'name')
  expect(changedTexts(oneBack, before)).toEqual(['title'])
  const allBack = groupAsInLook(textAsInLook(oneBack, before, 'title'), before, 'buttons')
  expect(isChangedLook(allBack, before)).toBe(false)
})

test('a look of the shop is what its displays go back to; once it is removed, the page is', () => {
  const theme = { ...themeOfLook('field'), look: 'mine' }
  const own = [{ publicId: 'mine', name: 'Summer', theme: themeOfLook('field') }]
  expect(themeBefore(theme, own)).toEqual(theme)
  expect(themeBefore(theme, [])).toEqual(configured().theme)
})

test('a card with a colour of its own can be read, whatever the colour', () => {
  for (const colour of ['#0e4654', '#f3e3b3', '#777777', '#e9b949']) {
    const theme = {
      ...configured().theme,
      card: { ...configured().theme.card, fill: 'colour' as const, colour },
    }
    const { own } = resolveTheme(theme, beeShop.site).card
    expect(wcagContrast(own!.text, own!.background)).toBeGreaterThanOrEqual(4.5)
    expect(wcagContrast(own!.accent, own!.background)).toBeGreaterThanOrEqual(3)
  }
})
