import { describe, expect, test } from 'vitest'
import { expectLinear, repeated } from '../../../tests/support/linearTime'
import { findLinks } from './link'

const hosts = (text: string) => findLinks(text).map(({ host }) => host)

describe('links in a text as long as other sites send', () => {
  test.each(['h ', 'h*', 'h t t p ', 'a.it ', 'http://a.', 'dot ', 'a.com ', '<a href=', '[a]('])(
    'are found in a time that grows with it: %s',
    (part) => expectLinear(findLinks, repeated(part), 5000),
  )
})

test('a name is found letter by letter, and behind words that lead to it', () => {
  expect(hosts('look at h i v e d e a l s . e x a m p l e')).toEqual(['hivedeals.example'])
  expect(hosts('Great.It works, see us at hives.it')).toEqual(['hives.it'])
})
