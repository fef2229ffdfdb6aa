import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { nextCheckMs, nextTryMs, spreadOf } from './checkTimes'
import type { OriginAnswer } from './originAdapter'
import { OriginRefusal, refusalCodes } from './originRefusal'
import { originsAt, recogniseOrigin } from './origins'
import { stepFor, type OriginQuestion } from './originQuestion'
import { firstAddress, looksLikeName } from './pasted'
import { readAverage, readLine, readMoment, readOwnUrl } from './readAnswer'

const HOST = 'https://sites.example'
const origins = originsAt(HOST)
const recognised = (text: string) => {
  const found = recogniseOrigin(origins, text)
  return found && [found.adapter.origin, found.found.kind, found.found.id]
}

test('sites stand below one address, or each has its own and those without one are not offered', () => {
  const homes = (where: string) => originsAt(where).map(({ home }) => home)
  expect(homes(HOST)).toEqual(['lanternway', 'barrowmere', 'brindlepost'].map((name) => `${HOST}/${name}`))
  expect(homes('brindlepost=https://posts.example/, lanternway=https://lanternway.example')).toEqual([
    'https://lanternway.example',
    'https://posts.example',
  ])
})

describe('whatever people copy leads to the right business', () => {
  test.each([
    ['https://sites.example/lanternway/place/LW7Q4K2M9A/wrenfield?zoom=12&from=share#reviews', 'lanternway', 'LW7Q4K2M9A'], // oxfmt-ignore
    ['  sites.example/lanternway/place/lw7q4k2m9a/ ', 'lanternway', 'LW7Q4K2M9A'],
    ['<https://www.sites.example/lanternway/map?at=51.2,0.3&place=LW7Q4K2M9A>', 'lanternway', 'LW7Q4K2M9A'],
    ['Our page: https://sites.example/lanternway/place/LW7Q4K2M9A.', 'lanternway', 'LW7Q4K2M9A'],
    ['LW7Q4K2M9A', 'lanternway', 'LW7Q4K2M9A'],
    ['https://sites.example/barrowmere/stalls/48213-wrenfield-bees?sort=new', 'barrowmere', '48213'],
    ['http://m.sites.example/barrowmere/opinions?stall=48213', 'barrowmere', '48213'],
    ['Stall no. 48213', 'barrowmere', '48213'],
    ['#48213', 'barrowmere', '48213'],
    ['@WrenfieldBees', 'brindlepost', 'wrenfieldbees'],
    ['https://sites.example/brindlepost/@wrenfieldbees/mentions', 'brindlepost', 'wrenfieldbees'],
  ])('%s', (text, origin, id) => {
    expect(recognised(text)).toEqual([origin, 'listing', id])
  })

  test('a single post or review', () => {
    expect(recognised('https://sites.example/brindlepost/p/8f3kq2?likes=yes')).toEqual(['brindlepost', 'post', '8f3kq2']) // oxfmt-ignore
    expect(recognised('https://sites.example/lanternway/review/abc123def')).toEqual(['lanternway', 'post', 'abc123def']) // oxfmt-ignore
  })

  test.each([
    'https://elsewhere.example/lanternway/place/LW7Q4K2M9A',
    'https://sites.example/lanternwayish/place/LW7Q4K2M9A',
    'https://sites.example.evil.example/lanternway/place/LW7Q4K2M9A',
    'https://sites.example/lanternway',
    'I love LW7Q4K2M9A and would go again',
    '48213',
    'Wrenfield Bee Supply',
    '',
  ])('%s is none of them', (text) => {
    expect(recognised(text)?.[0] ?? 'page').toBe('page')
  })
})

test('a name is told from a message', () => {
  for (const name of ['Wrenfield Bee Supply', "Tanner's Row Bees", 'Bäckerei Müller & Söhne'])
    expect(looksLikeName(name), name).toBe(true)
  for (const message of ['Great shop, would buy again.', 'Is it open?', 'Anna: lovely', 'a\nb', 'ok'])
    expect(looksLikeName(message), message).toBe(false)
  expect(firstAddress('see https://a.example/x, please')).toBe('https://a.example/x')
  expect(firstAddress('no address here. At all')).toBe(null)
})

describe('what a site says is read carefully', () => {
  test.each([
    ['4,7', 4.7],
    ['4.7', 4.7],
    [4.7, 4.7],
    ['5.1', null],
    ['many', null],
    [0, null],
    [null, null],
    ['NaN', null],
  ])(
    // oxfmt-ignore
    'an average of %s',
    (given, read) => expect(readAverage(given, 5)).toBe(read),
  )

  test('names lose line breaks and turned directions, and are cut', () => {
    expect(readLine(' A\u202e\nB ')).toBe('A B')
    expect(readLine('x'.repeat(10_000)).length).toBe(120)
    expect(readLine({ toString: () => 'x' })).toBe('')
  })

  test('addresses are those of the site, dates are dates', () => {
    expect(readOwnUrl('javascript:alert(1)', HOST)).toBe(null)
    expect(readOwnUrl('https://evil.example/x', HOST)).toBe(null)
    expect(readOwnUrl('/a/b', `${HOST}/lanternway`)).toBe(`${HOST}/a/b`)
    expect(readMoment('2026-13-45')).toBe(null)
    expect(readMoment('2026-05-03')).toBe('2026-05-03')
    expect(readMoment('yesterday')).toBe(null)
  })
})

const questions: OriginQuestion[] = [
  { ask: 'suggest', name: 'x' },
  { ask: 'describe', id: '48213' },
  { ask: 'page', id: '48213', cursor: null },
  { ask: 'post', id: 'abcd' },
]
const answerWith = (body: string, status = 200): OriginAnswer => ({
  status,
  retryAfter: null,
  url: HOST,
  contentType: 'text/html',
  body,
})

test('no answer whatever makes an adapter fail otherwise than by a refusal', () => {
  const body = fc.oneof(
    fc.string(),
    fc.json(),
    fc.json().map((data) => `<script type="application/ld+json">${data}</script></html>`),
    fc.constantFrom('<div>'.repeat(5000), '{"stalls":'.repeat(5000), '[[[['.repeat(5000)),
  )
  fc.assert(
    fc.property(body, fc.constantFrom(200, 204, 301, 401, 404, 429, 503), (text, status) => {
      for (const adapter of origins)
        for (const question of questions)
          try {
            stepFor(adapter, question, 'key').read(answerWith(text, status))
          } catch (error) {
            if (!(error instanceof OriginRefusal)) throw error
            expect(refusalCodes).toContain(error.code)
          }
    }),
    { numRuns: 60 },
  )
})

test('waits grow after refusals, follow what the site asks, and end at six hours', () => {
  const wait = (failures: number, retryAfter: number | null = null) =>
    nextTryMs('broken', { failures, retryAfter, spread: 0 })! / 60_000
  expect([1, 2, 3, 4, 20].map((failures) => wait(failures))).toEqual([2, 4, 8, 16, 360])
  expect(wait(1, 120)).toBe(2)
  expect(wait(1, 7200)).toBe(120)
  expect(wait(9, 60)).toBe(360)
  expect(nextTryMs('keyRefused', { failures: 1, retryAfter: null, spread: 0 })).toBe(null)
  expect(nextTryMs('unknown', { failures: 1, retryAfter: null, spread: 0 })).toBe(86_400_000)
})

test('checks are spread out, and rarer for quiet listings', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), (id) => {
      const spread = spreadOf(id)
      expect(spread).toBeGreaterThanOrEqual(0)
      expect(spread).toBeLessThan(1)
      const minutes = nextCheckMs(0, 30, spread) / 60_000
      expect(minutes).toBeGreaterThanOrEqual(27)
      expect(minutes).toBeLessThanOrEqual(33)
    }),
  )
  const days = (count: number) => nextCheckMs(count * 86_400_000, 30, 0.5) / 3_600_000
  expect([1, 8, 31].map(days)).toEqual([0.5, 2, 6])
})
