import { expect, test } from 'vitest'
import { fullTextQuery, searchPlaces } from './searchWords'

test('all words are asked for, the last as a beginning, and signs mean nothing', () => {
  expect(fullTextQuery('Hive  kit')).toBe('"hive" AND "kit"*')
  expect(fullTextQuery('naïve "OR" NEAR(')).toBe('"naive" AND "or" AND "near"*')
  expect(fullTextQuery(' "*():- ')).toBeNull()
})

test('places are those of whole words and of the beginning typed last', () => {
  const text = 'Die Bienenbox: bienen-freundlich, Büchse'
  const found = (typed: string) => searchPlaces(text, typed).map(({ start, end }) => text.slice(start, end))
  expect(found('bienen')).toEqual(['Bienenbox', 'bienen'])
  expect(found('bienen die')).toEqual(['Die', 'bienen'])
  expect(found('BUCHSE')).toEqual(['Büchse'])
  expect(found('')).toEqual([])
})
