import { describe, expect, test } from 'vitest'
import { emailKeyOf } from './emailKey'
import { matchOrder, type OrderLine } from './matchOrder'
import { orderNumberKey } from './orderNumber'
import { namesAgree } from './personName'

const line: OrderLine = {
  id: 1,
  orderNumber: 'WB-2091',
  email: 'piotr.lis@post.example',
  name: 'Piotr Lis',
  productSku: 'HK-2',
  productTitle: 'Hive kit, two boxes',
  placedAt: '2026-03-02T10:00:00Z',
  deliveredAt: '2026-03-09T10:00:00Z',
  status: 'delivered',
}
const claim = {
  authorName: 'Piotr Lis',
  provenEmail: '',
  orderNumber: 'wb 2091',
  product: 'HK-2',
  writtenAt: '2026-04-01T08:00:00Z',
}
const match = (changedClaim: Partial<typeof claim>, ...lines: Partial<OrderLine>[]) => {
  const result = matchOrder(
    { ...claim, ...changedClaim },
    (lines.length ? lines : [{}]).map((l) => ({ ...line, ...l })),
    'Europe/London',
  )
  return 'line' in result ? result.line.id : result.failure
}

describe('order numbers', () => {
  test.each([
    'WB-2091',
    'wb2091',
    ' #WB 2091 ',
    'Order no. WB-2091',
    'Bestellung WB–2091',
    'Bestell-Nr. WB2091',
    'My order number: WB 2091',
    'N° de commande : WB-2091',
    'ＷＢ-2091',
  ])('%s is the same', (typed) => {
    expect(orderNumberKey(typed)).toBe('WB2091')
  })
  test.each([
    ['No', 'NO'],
    ['ORDER-ABC', 'ORDERABC'],
    ['Order ID', 'ORDERID'],
  ])('%s has no figure and is kept whole', (typed, key) => {
    expect(orderNumberKey(typed)).toBe(key)
  })
  test('nothing gives nothing', () => {
    expect(orderNumberKey(' - ')).toBe('')
  })
})

describe('names', () => {
  test.each([
    ['Piotr Lis', 'P. Lis'],
    ['M. Lis', 'Marta Lis'],
    ['Jürgen Müller', 'J. Mueller'],
    ['Jürgen Müller', 'Jurgen Muller'],
    ["Sean O'Brien", 'Sean OBrien'],
    ['Carmen Ruiz Gómez', 'C. Ruiz'],
    ['Jean-Pierre Dupont', 'J.-P. Dupont'],
    ['Lis Piotr', 'P. Lis'],
    ['Prof. Dr. Anna K. Berg, MBA', 'Anna Berg'],
    ['Piotr Lis', 'Piotr L.'],
    ['Lis, Piotr', 'Piotr Lis'],
    ['Dr. Łucja Żak', 'lucja zak'],
    ['Lotte Vermeer', 'Lotte Vermeer-Pohl'],
    ['Jan van Dijk', 'J. van Dijk'],
    ['Madonna', 'madonna'],
    ['V. Peabody', 'Violet Peabody'],
    ['Violet P.', 'Violet Peabody'],
    ['Anne-Marie Brook', 'Annemarie Brook'],
    ['Violet Rose Peabody', 'Violet Peabody'],
  ])('%s agrees with %s', (one, other) => {
    expect(namesAgree(one, other)).toBe(true)
    expect(namesAgree(other, one)).toBe(true)
  })
  test.each([
    ['Piotr Lis', 'Anna Lis'],
    ['Piotr Lis', 'Piotr Kowal'],
    ['Lis', 'Piotr Lis'],
    ['Dr. Lis', 'Diana Lis'],
    ['Maria Anders', 'Anna Maria Berg'],
    ['Bauer, Tom', 'Thea Baur'],
    ['P. L.', 'Piotr Lis'],
    ['Jan van Dijk', 'Joop van Houten'],
    ['', 'Piotr Lis'],
    ['Violet Peabody', 'Violet Peasgood'],
    ['Ruth Pemberley', 'Ruth Pemberly'],
    ['Jon Smith', 'Jonathan Smith'],
    ['Violet A. Peabody', 'Violet B. Peabody'],
    ['Anna Rose Peabody', 'Anna Maria Peabody'],
  ])('%s does not agree with %s', (one, other) => {
    expect(namesAgree(one, other)).toBe(false)
    expect(namesAgree(other, one)).toBe(false)
  })
})

describe('matching an order', () => {
  test('its digits alone are enough if no other order has them', () => {
    expect(match({ orderNumber: '2091' })).toBe(1)
    expect(match({ orderNumber: '2091' }, {}, { id: 2, orderNumber: 'XB-2091' })).toBe('unknownNumber')
    expect(match({ orderNumber: '2091' }, {}, { id: 2, orderNumber: '2091', name: 'Anna Alm' })).toBe(
      'otherName',
    )
    expect(match({ orderNumber: '209' })).toBe('unknownNumber')
  })
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

describe('email addresses', () => {
  test.each([
    'piotr.lis@post.example',
    ' Piotr.Lis@POST.example ',
    'Piotr Lis <piotr.lis@post.example>',
    'mailto:piotr.lis@post.example?subject=hello',
    'piotr.lis+reviews@post.example',
  ])('%s is the same', (typed) => {
    expect(emailKeyOf(typed)).toBe('piotr.lis@post.example')
  })
  test.each(['', 'n/a', '-', 'piotr', '@post.example', 'a b@post.example', 'piotr@post'])(
    '%s is none',
    (typed) => {
      expect(emailKeyOf(typed)).toBe('')
    },
  )
  test('dots count, other domains are others, and a domain is one in either script', () => {
    expect(emailKeyOf('piotrlis@post.example')).not.toBe(emailKeyOf('piotr.lis@post.example'))
    expect(emailKeyOf('piotr.lis@post.test')).not.toBe(emailKeyOf('piotr.lis@post.example'))
    expect(emailKeyOf('a@bücher.example')).toBe(emailKeyOf('a@xn--bcher-kva.example'))
  })
})

describe('by email address', () => {
  const mine = { provenEmail: 'Piotr.Lis+shop@post.example', authorName: 'Someone Else' }
  test('the writer’s own proves it whatever the name and number say', () => {
    expect(match({ ...mine, orderNumber: '' })).toBe(1)
    expect(match({ ...mine, orderNumber: 'WB-1' })).toBe(1)
  })
  test('two without an email address are not one', () => {
    expect(match({ provenEmail: '', authorName: 'X Y' }, { email: '' })).toBe('otherName')
    expect(match({ provenEmail: 'n/a', authorName: 'X Y', orderNumber: '' }, { email: 'n/a' })).toBe(
      'noNumber',
    )
  })
  test('product and day still have to fit', () => {
    expect(match({ ...mine, product: 'EX-4' })).toBe('otherProduct')
    expect(match({ ...mine, writtenAt: '2026-03-08' })).toBe('notDelivered')
    expect(match({ ...mine, writtenAt: '2026-03-09' }, { deliveredAt: '2026-03-09' })).toBe(1)
  })
})
