import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readWords, tripleHashes } from '../reading'
import type { Arriving } from './arrival'
import { ShopHistory } from './shopHistory'
import { binomialEvidence, unevenPoissonEvidence } from './tails'
import { TripleIndex } from './tripleIndex'
import { leastMs } from '../../../tests/support/linearTime'

const triplesOf = (body: string) => tripleHashes(readWords({ title: '', body }))
const pool = Array.from({ length: 400 }, (_, i) => `w${(i * 7919).toString(36)}`)
let seed = 7
const random = () => (seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32
const pick = <T>(some: T[]): T => some[Math.floor(random() * some.length)]!
const words = (length: number) => Array.from({ length }, () => pick(pool))

describe('near-copies', () => {
  test('nearly all that share half their word triples are found among thousands, and hardly any other', () => {
    const index = new TripleIndex()
    const originals = Array.from({ length: 3000 }, () => words(12 + Math.floor(random() * 40)))
    for (const original of originals) index.add(triplesOf(original.join(' ')))
    let [asked, found, false_] = [0, 0, 0]
    originals.slice(0, 400).forEach((original, i) => {
      const copy = original.map((word) => (random() < 0.12 ? pick(pool) : word)).join(' ')
      const [a, b] = [new Set(triplesOf(original.join(' '))), new Set(triplesOf(copy))]
      const shared = [...a].filter((hash) => b.has(hash)).length
      const near = index.findSimilar(triplesOf(copy)).near
      false_ += near.filter(({ text }) => text !== i).length
      if ((2 * shared) / (a.size + b.size) < 0.5) return
      asked++
      if (near.some(({ text }) => text === i)) found++
    })
    expect(asked).toBeGreaterThan(150)
    expect(found / asked).toBeGreaterThanOrEqual(0.95)
    expect(false_).toBeLessThan(4)
  })
  test('half of a long one is found in it', () => {
    const index = new TripleIndex()
    const long = words(60)
    index.add(triplesOf(long.join(' ')))
    expect(index.findSimilar(triplesOf(long.slice(0, 20).join(' '))).near).toHaveLength(1)
    expect(index.findSimilar(triplesOf(words(20).join(' '))).near).toEqual([])
  })
  test('a flood of copies is found in bounded time', () => {
    const index = new TripleIndex()
    const flood = triplesOf(words(40).join(' '))
    for (let i = 0; i < 5000; i++) index.add(flood)
    expect(index.findSimilar(flood).near.length).toBeGreaterThan(10)
    expect(leastMs(() => index.findSimilar(flood))).toBeLessThan(50)
  })
})

test('hashes of triples are each once and rising, whatever the text', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (body) => {
      const hashes = [...triplesOf(body)]
      expect(hashes).toEqual([...new Set(hashes)].sort((a, b) => a - b))
    }),
  )
})

describe('evidence of a count', () => {
  test('is the tail of the binomial law', () => {
    // Two or three heads of three throws.
    expect(binomialEvidence(2, 3, 0.5)).toBeCloseTo(-Math.log(0.5), 6)
    expect(binomialEvidence(3, 3, 0.1)).toBeCloseTo(-Math.log(0.001), 6)
    expect(binomialEvidence(1, 10, 0.2)).toBe(0)
  })
  test('is the tail of a Poisson law whose mean varies', () => {
    // Shape 1 is the geometric law.
    expect(unevenPoissonEvidence(3, 1, 1)).toBeCloseTo(-Math.log(1 / 8), 6)
    // The more even, the closer to Poisson's law.
    expect(unevenPoissonEvidence(3, 1, 1e7)).toBeCloseTo(-Math.log(1 - Math.exp(-1) * 2.5), 4)
    expect(unevenPoissonEvidence(2, 3, 3)).toBe(0)
  })
  test('is finite and grows with the count, in busy shops too', () => {
    expect(unevenPoissonEvidence(6000, 1000, 3)).toBeGreaterThan(unevenPoissonEvidence(5000, 1000, 3))
    expect(binomialEvidence(1500, 1500, 1e-9)).toBeLessThan(1e5)
    expect(Number.isFinite(unevenPoissonEvidence(100_000, 0.001, 3))).toBe(true)
  })
})

const DAY = 86_400_000
const start = Date.parse('2026-01-01T09:00:00Z')
const givenNames =
  'Anna Bert Cora Dirk Elsa Finn Gina Hugo Iris Jan Kira Lars Mona Nils Olga Paul Rosa Sven Tess Uwe'.split(
    ' ',
  )
const familyNames =
  'Alm Berg Cole Dahl East Frost Grant Hill Ives Jahn Kern Lund Moor Nash Orme Pike Reed Shaw Tate Voss'.split(
    ' ',
  )
const things = 'kettle rug lamp chair mug blanket shelf hook candle tray clock basket frame vase jar'.split(
  ' ',
)
let number = 0

/** A customer of a shop of household goods, on a day of her own. */
function customer(at: number, more: Partial<Arriving> = {}): Arriving {
  const [given, family] = [pick(givenNames), pick(familyNames)]
  number++
  return {
    id: String(number),
    title: '',
    body: `The ${pick(things)} ${pick(['arrived', 'came', 'stands', 'works', 'looks'])} ${pick(['well', 'as hoped', 'late but fine', 'a little crooked', 'better than I thought'])} and ${words(8).join(' ')}`,
    rating: pick([500, 500, 500, 400, 400, 300, 100]),
    authorName: `${given} ${family}`,
    authorEmail:
      `${given}.${family}${number}@${pick(['post', 'mail', 'letter', 'box'])}.example`.toLowerCase(),
    ip: `${20 + Math.floor(random() * 200)}.${Math.floor(random() * 250)}.${Math.floor(random() * 250)}.9`,
    receivedAt: new Date(at).toISOString(),
    product: random() < 0.8 ? pick(things) : '',
    fillSeconds: 30 + Math.floor(random() * 150),
    verified: null,
    ...more,
  }
}

/** Three months of a shop with two reviews a day. */
function shopOfMonths(): { memory: ShopHistory; now: number } {
  const memory = new ShopHistory()
  let now = start
  for (let i = 0; i < 180; i++) {
    now += (0.2 + random() * 0.6) * DAY
    memory.compareAndRemember(customer(now))
  }
  return { memory, now: now + DAY }
}
const flags = (memory: ShopHistory, arrivals: Arriving[]) =>
  arrivals.map((one) => memory.compareAndRemember(one).history.burst !== null)
const spread = (count: number, over: number, make: (at: number, i: number) => Arriving, from: number) =>
  Array.from({ length: count }, (_, i) => make(from + (i * over) / count, i))

describe('an attack is found within its first ten', () => {
  const attacks: [string, (at: number, i: number) => Arriving][] = [
    [
      'the same low words from throw-away email addresses',
      (at, i) =>
        customer(at, {
          rating: 100,
          product: '',
          body: `Terrible shop, ${pick(things)} broke, never buy here, total scam by crooks ${i}`,
          authorEmail: `user${i}@tempmail.example`,
        }),
    ],
    [
      'low ratings from one network, sent in a hurry',
      (at, i) => customer(at, { rating: 100, product: '', fillSeconds: 4 + (i % 5), ip: `203.0.113.${i}` }),
    ],
    [
      'bought praise in the same turns of phrase',
      (at, i) =>
        customer(at, {
          rating: 500,
          body: `I am very happy with the ${pick(things)} and the quality is beyond anything I have seen ${i}`,
          fillSeconds: 9,
        }),
    ],
    [
      'few words, email addresses that go with no name, one network',
      (at, i) =>
        customer(at, {
          rating: 100,
          body: 'bad shop',
          authorEmail: `zq${i * 77}@post.example`,
          ip: `198.51.100.${i}`,
        }),
    ],
    [
      'one star from two networks, in words of all kinds',
      (at, i) =>
        customer(at, {
          rating: 100,
          product: '',
          body: `${pick(things)} ${words(4 + (i % 9)).join(' ')}`,
          ip: `${i % 2 ? '203.0.113' : '198.51.100'}.${i}`,
        }),
    ],
  ]
  test.each(attacks)('%s', (_, make) => {
    const { memory, now } = shopOfMonths()
    const flagged = flags(memory, spread(30, 3 * 3_600_000, make, now))
    expect(flagged.slice(0, 10)).toContain(true)
    expect(flagged.filter(Boolean).length).toBeGreaterThan(20)
  })
  test('a low rating from the same network two days later is nobody’s accomplice', () => {
    const { memory, now } = shopOfMonths()
    const attack = (at: number, i: number) => customer(at, { rating: 100, product: '', ip: `203.0.113.${i}` })
    expect(flags(memory, spread(25, 3 * 3_600_000, attack, now)).filter(Boolean).length).toBeGreaterThan(14)
    expect(flags(memory, [attack(now + 2 * DAY, 99)])).toEqual([false])
  })
  test('customers who write meanwhile are not taken for its members', () => {
    const { memory, now } = shopOfMonths()
    let taken = 0
    for (let i = 0; i < 30; i++) {
      const at = now + i * 300_000
      memory.compareAndRemember(attacks[0]![1](at, i))
      if (i % 3 === 0 && memory.compareAndRemember(customer(at + 1000)).history.burst) taken++
    }
    expect(taken).toBe(0)
  })
})

describe('an innocent crowd is not taken for an attack', () => {
  const crowds: [string, (at: number, i: number) => Arriving][] = [
    ['readers of a newsletter', (at) => customer(at)],
    ['a class at one table', (at) => customer(at, { rating: 500, product: 'course', ip: '192.0.2.44' })],
    ['a class that names no product', (at) => customer(at, { rating: 500, product: '', ip: '192.0.2.44' })],
    ['buyers of a batch that broke', (at) => customer(at, { rating: 100, product: 'kettle' })],
    [
      'people with few words',
      (at) => customer(at, { body: pick(['Great!', 'Love it', 'Very nice', 'Good lamp', 'All fine']) }),
    ],
  ]
  test.each(crowds)('%s', (_, make) => {
    const { memory, now } = shopOfMonths()
    expect(flags(memory, spread(40, 4 * 3_600_000, make, now)).filter(Boolean)).toEqual([])
  })
  test('a shop that grows, and one that has just begun', () => {
    const { memory, now } = shopOfMonths()
    expect(
      flags(
        memory,
        spread(120, 20 * DAY, (at) => customer(at), now),
      ).filter(Boolean),
    ).toEqual([])
    expect(
      flags(
        new ShopHistory(),
        spread(60, 10 * DAY, (at) => customer(at), now),
      ).filter(Boolean),
    ).toEqual([])
  })
})

test('where customers write from a template, near-copies become usual', () => {
  const memory = new ShopHistory()
  const usual = Array.from(
    { length: 60 },
    (_, i) =>
      memory.compareAndRemember(
        customer(start + i * DAY, {
          body: `My name is on the list and I liked the following thing best of all: ${i}`,
        }),
      ).history.usualNearCopyShare,
  )
  expect(usual[5]).toBe(0)
  expect(usual.at(-1)).toBeGreaterThan(0.9)
})
