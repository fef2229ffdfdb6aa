import { expect, test } from 'vitest'
import { themeIn, themeName } from './theme'

test.each([
  [null, 'system', undefined],
  ['elogio_theme=night', 'night', 'elogio-night'],
  ['a=b; elogio_theme=day; c=d', 'day', 'elogio'],
  ['elogio_theme=<script>', 'system', undefined],
  ['not_elogio_theme=night', 'system', undefined],
])('cookies %j wear %s', (cookies, theme, name) => {
  expect(themeIn(cookies)).toBe(theme)
  expect(themeName(themeIn(cookies))).toBe(name)
})
