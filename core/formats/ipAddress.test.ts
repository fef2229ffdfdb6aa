import { expect, test } from 'vitest'
import { canonicalAddress, limitKeyOf, networkOf } from './ipAddress'

test.each([
  ['203.0.113.5', '203.0.113.5', '203.0.113.5', '203.0.113.0'],
  ['::ffff:203.0.113.5', '203.0.113.5', '203.0.113.5', '203.0.113.0'],
  ['::FFFF:cb00:7105', '203.0.113.5', '203.0.113.5', '203.0.113.0'],
  ['2001:db8:1:2:3::5', '2001:db8:1:2:3::5', '2001:db8:1:2::', '2001:db8:1::'],
  [
    '2001:0DB8:0001:0002:ffff:ffff:ffff:ffff',
    '2001:db8:1:2:ffff:ffff:ffff:ffff',
    '2001:db8:1:2::',
    '2001:db8:1::',
  ],
  ['fe80::1%eth0', 'fe80::1', 'fe80::', 'fe80::'],
])('%s', (text, canonical, limitKey, network) => {
  expect([canonicalAddress(text), limitKeyOf(text), networkOf(text)]).toEqual([canonical, limitKey, network])
})

test.each(['unknown', '', '1', '0x7f.0.0.1', '203.0.113', '203.0.113.5:80', '999.1.1.1', 'a:b'])(
  '"%s" is no address',
  (text) => {
    expect([canonicalAddress(text), networkOf(text)]).toEqual([null, ''])
    expect(limitKeyOf(text)).toBe(text)
  },
)
