import { expect, test } from 'vitest'
import { readerLanguage } from './readerLanguage'

const all = { allowed: ['en', 'de', 'fr', 'es', 'it'], locale: 'en-GB' }

test.each([
  ['de', 'fr', 'de'],
  ['de-AT', null, 'de'],
  ['pl', 'fr', 'fr'],
  [null, 'fr-CA, fr;q=0.9, en;q=0.8', 'fr'],
  [null, 'pl, it;q=0.5, es;q=0.9', 'es'],
  [null, 'pl', 'en'],
  [null, '*', 'en'],
  [null, null, 'en'],
  ['', ';;;q=,,', 'en'],
  ['constructor', '__proto__', 'en'],
])('an address with %o and a browser with %o get %s', (asked, accepted, language) => {
  expect(readerLanguage(asked, accepted, all)).toBe(language)
})

test('only languages that the shop allows are spoken', () => {
  const some = { allowed: ['de', 'it'], locale: 'de-CH' }
  expect(readerLanguage('fr', 'en, fr', some)).toBe('de')
  expect(readerLanguage(null, 'it', some)).toBe('it')
  expect(readerLanguage(null, 'pl', { allowed: ['fr'], locale: 'en' })).toBe('fr')
  expect(readerLanguage('de', 'de', { allowed: [], locale: 'en' })).toBe('en')
})
