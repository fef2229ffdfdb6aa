import { expect, test } from 'vitest'
import { fullTextQuery, searchPlaces } from './searchWords'

test('all words are asked for as beginnings, and signs mean nothing', () => {
  expect(fullTextQuery('Hive  kit')).toBe('"hive"* AND "kit"*')
  expect(fullTextQuery('naïve "OR" NEAR(')).toBe('"naive"* AND "or"* AND "near"*')
  expect(fullTextQuery(' "*():- ')).toBeNull()
})

test('places are those of words that begin so', () => {
  const text = 'Die Bienenbox: bienen-freundlich, Büchse'
  const found = (typed: string) => searchPlaces(text, typed).map(({ start, end }) => text.slice(start, end))
  expect(found('bienen')).toEqual(['Bienenbox', 'bienen'])
  expect(found('bienen die')).toEqual(['Die', 'Bienenbox', 'bienen'])
  expect(found('BUCHSE')).toEqual(['Büchse'])
  expect(found('')).toEqual([])
})

test('where a script has no spaces, a word is found in the middle, and a letter has its own marks', () => {
  expect(fullTextQuery('蜂蜜 a')).toBe('"蜂 蜜" AND "a"')
  expect(fullTextQuery('नमस्ते')).toBe('"नमसत"*')
  const text = 'この蜂蜜がとてもおいしい。USBの燻煙器'
  const found = (typed: string) => searchPlaces(text, typed).map(({ start, end }) => text.slice(start, end))
  expect(found('蜂蜜')).toEqual(['蜂蜜'])
  expect(found('蜂蜜か')).toEqual(['蜂蜜が'])
  expect(found('燻煙')).toEqual(['燻煙'])
  expect(found('蜜蜂')).toEqual([])
})
