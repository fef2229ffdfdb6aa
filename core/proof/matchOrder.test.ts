import { describe, expect, test } from 'vitest'
import { matchByOrderNumber, type OrderLine } from './matchOrder'
import { orderNumberKey } from './orderNumber'
import { namesAgree } from './personName'

const line: OrderLine = {
  id: 1,
  orderNumber: 'WB-2091',
  name: 'Piotr Lis',
  productSku: 'HK-2',
  productTitle: 'Hive kit, two boxes',
  placedAt: '2026-03-02T10:00:00Z',
  deliveredAt: '2026-03-09T10:00:00Z',
  status: 'delivered',
}
const claim = {
  authorName: 'Piotr Lis',
  orderNumber: 'wb 2091',
  product: 'HK-2',
  writtenAt: '2026-04-01T08:00:00Z',
}
const match = (changedClaim: Partial<typeof claim>, ...lines: Partial<OrderLine>[]) => {
  const result = matchByOrderNumber(
    { ...claim, ...changedClaim },
    (lines.length ? lines : [{}]).map((l) => ({ ...line, ...l })),
    'Europe/London',
  )
  return 'line' in result ? result.line.id : result.failure
}

describe('order numbers', () => {
  test.each(['WB-2091', 'wb2091', ' #WB 2091 ', 'Order no. WB-2091', 'Bestellung WB–2091', 'ＷＢ-2091'])(
    '%s is the same',
    (typed) => {
      expect(orderNumberKey(typed)).toBe('WB2091')
    },
  )
  test('nothing gives nothing', () => {
    expect(orderNumberKey(' - ')).toBe('')
  })
})

describe('names', () => {
  test.each([
    ['Piotr Lis', 'P. Lis'],
    ['Piotr Lis', 'Piotr L.'],
    ['Lis, Piotr', 'Piotr Lis'],
    ['Dr. Łucja Żak', 'lucja zak'],
    ['Lotte Vermeer', 'Lotte Vermeer-Pohl'],
    ['Jan van Dijk', 'J. van Dijk'],
    ['Madonna', 'madonna'],
  ])('%s agrees with %s', (one, other) => {
    expect(namesAgree(one, other)).toBe(true)
    expect(namesAgree(other, one)).toBe(true)
  })
  test.each([
    ['Piotr Lis', 'Anna Lis'],
    ['Piotr Lis', 'Piotr Kowal'],
    ['Lis', 'Piotr Lis'],
    ['P. L.', 'Piotr Lis'],
    ['Jan van Dijk', 'Joop van Houten'],
    ['', 'Piotr Lis'],
  ])('%s does not agree with %s', (one, other) => {
    expect(namesAgree(one, other)).toBe(false)
    expect(namesAgree(other, one)).toBe(false)
  })
})

describe('matching an order', () => {
  test('number, name, product and delivery together prove it', () => {
    expect(match({})).toBe(1)
    expect(match({ product: 'hive  kit, TWO boxes' })).toBe(1)
    expect(match({ product: '' })).toBe(1)
  })
  test.each([
    ['noNumber', { orderNumber: ' ' }, {}],
    ['unknownNumber', { orderNumber: 'WB-1' }, {}],
    ['otherName', { authorName: 'Tess Barrow' }, {}],
    ['otherProduct', { product: 'ST-T' }, {}],
    ['cancelled', {}, { status: 'cancelled' }],
    ['notDelivered', {}, { status: 'shipped', deliveredAt: null }],
    ['notDelivered', {}, { deliveredAt: '2026-04-02T08:00:00Z' }],
    ['notDelivered', {}, { status: 'lost' }],
  ] as const)('%s', (failure, changedClaim, changedLine) => {
    expect(match(changedClaim, changedLine)).toBe(failure)
  })
  test('refunded and returned still bought', () => {
    expect([match({}, { status: 'refunded' }), match({}, { status: 'returned' })]).toEqual([1, 1])
  })
  test('the day of delivery is a day in the shop’s time zone', () => {
    const at = { deliveredAt: '2026-06-10T23:30:00Z' }
    expect(match({ writtenAt: '2026-06-10T22:30:00Z' }, at)).toBe('notDelivered')
    expect(match({ writtenAt: '2026-06-10T23:10:00Z' }, at)).toBe(1)
  })
  test('of several that fit, the latest delivered', () => {
    expect(
      match(
        {},
        { id: 1 },
        { id: 2, deliveredAt: '2026-03-20T10:00:00Z' },
        { id: 3, deliveredAt: '2026-03-11T10:00:00Z' },
      ),
    ).toBe(2)
  })
})
