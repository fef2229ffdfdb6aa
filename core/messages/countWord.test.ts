import { expect, test } from 'vitest'
import { customerTranslate } from './customers'
import { countWord, countWordFirst } from './countWord'
import { say } from './say/everything'

test('counts are spelt to nine and written from ten', () => {
  expect([0, 1, 4, 9, 10, 287].map(countWord)).toEqual(['no', 'one', 'four', 'nine', '10', '287'])
  expect([1, 4, 13].map(countWordFirst)).toEqual(['One', 'Four', '13'])
  expect(say('group.spam', { count: 4, replace: { count: countWordFirst(4) } })).toMatch(/^Four /)
})

test('numbers are written as each language writes them, and plurals follow', () => {
  expect(customerTranslate('en')('visitor.of', { count: 12_345 })).toBe('12,345 reviews')
  expect(customerTranslate('de')('visitor.of', { count: 12_345 })).toBe('12.345 Bewertungen')
  expect(customerTranslate('it')('visitor.of', { count: 1 })).toBe('1 recensione')
  expect(customerTranslate('fr')('form.mistakes', { count: 1 })).toMatch(/^Un point/)
})

test('what people typed is put in as it is', () => {
  expect(say('form.shownAs', { name: '<b>Bo</b> & {{name}} $t(x)' })).toBe(
    'shown as “<b>Bo</b> & {{name}} $t(x)”',
  )
})
