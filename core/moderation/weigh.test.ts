import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { arrivalState, HELD_FROM, SPAM_FROM } from './rules'
import { textAt, type SignalKind } from './signal'
import { ShopHistory } from './memory/shopHistory'
import { trustedSubmission } from './submissionChecks'
import { spamScore } from './spamScore'
import { weigh as weighAll, type Circumstances } from './weigh'
import { startingModel } from './wording/starting'
import { leastMs } from '../../tests/support/linearTime'

interface Given extends Circumstances {
  fillSeconds: number | null
}

const calm: Given = {
  ownDomains: ['wrenfield.example'],
  knownOrderKeys: [],
  fillSeconds: 60,
  ...trustedSubmission,
}

/** What is found in words alone: nobody is known of the writer, and nobody wrote before. */
function weigh(words: { title: string; body: string }, { fillSeconds, ...circumstances }: Given) {
  const { arrival, history } = new ShopHistory().compareAndRemember({
    id: '1',
    ...words,
    verified: null,
    rating: null,
    authorName: '',
    authorEmail: '',
    ip: '',
    receivedAt: null,
    product: '',
    fillSeconds,
  })
  return weighAll({ arrival, history, model: startingModel(), ...circumstances })
}

function found(body: string, more: Partial<Given> = {}, title = '') {
  const words = { title, body }
  // What the model says of the words has tests of its own.
  const signals = weigh(words, { ...calm, ...more }).filter(({ kind }) => kind !== 'wording')
  return signals.map((signal) => ({
    kind: signal.kind,
    points: signal.points,
    at: signal.places.map((place) => textAt(words, place)),
  }))
}
const kinds = (body: string, more: Partial<Given> = {}): SignalKind[] =>
  found(body, more).map(({ kind }) => kind)

describe('a link to somewhere else', () => {
  test.each([
    ['see hivedeals.example/deal77 tho', 36, ['hivedeals.example/deal77']],
    ['https://a.example and www.b.net', 48, ['https://a.example', 'www.b.net']],
    ['look at cheapbees.store now', 56, ['cheapbees.store']],
    ['free bees at hives.example', 56, ['hives.example']],
    ['buy at hivedeals dot example', 74, ['hivedeals dot example']],
    ['hivedeals (punkt) example', 74, ['hivedeals (punkt) example']],
    ['go to hivedeals . example', 74, ['hivedeals . example']],
    ['it is h i v e d e a l s . e x a m p l e here', 74, ['h i v e d e a l s . e x a m p l e']],
    ['see h i v e d e a l s . example for more', 74, ['h i v e d e a l s . example']],
    ['hxxp://hivedeals.example', 74, ['hxxp://hivedeals.example']],
    ['[url=https://hivedeals.example]bees[/url]', 74, ['[url=https://hivedeals.example']],
    ['hive\u200bdeals.example', 74, ['hive\u200bdeals.example']],
  ])('%s', (body, points, at) => {
    expect(found(body)).toContainEqual({ kind: 'link', points, at })
  })
  test.each([
    'Ordered from wrenfield.example and from www.wrenfield.example/hives',
    'Great.It works. Love it.very much',
    'Costs 12.50, not 13.00, e.g. for two.Then more',
    'A bee dot on the lid',
    'C’est un bon point de vente',
    'I am a b c d person',
    'Came. Compared it, kept it. Not one fault.',
  ])('none in: %s', (body) => {
    expect(kinds(body)).toEqual([])
  })

  test('one in the headline counts too', () => {
    expect(found('fine', {}, 'visit hivedeals.example')[0]).toMatchObject({
      kind: 'link',
      at: ['hivedeals.example'],
    })
  })
})

describe('asking to be contacted', () => {
  test.each([
    'message me for more',
    'Contact me, I answer all day',
    'write to me today',
    'Schreiben Sie mir einfach',
    'Contactez-moi vite',
    'escríbeme para más',
    'napisz do mnie',
  ])('%s', (body) => {
    expect(kinds(body)).toEqual(['contact'])
  })

  test.each([
    'They promised to call me and never did',
    'Nobody contacted me',
    'They didn’t even call me',
    'Call me old fashioned',
    'The team would message me every day',
  ])('none in: %s', (body) => {
    expect(kinds(body)).toEqual([])
  })
})

describe('filled in faster than people can', () => {
  test('below five seconds, not from five on, not when nobody knows', () => {
    expect(kinds('Good', { fillSeconds: 4.9 })).toEqual(['filltime'])
    expect(kinds('Good', { fillSeconds: 5 })).toEqual([])
    expect(kinds('Good', { fillSeconds: null })).toEqual([])
  })
})

describe('personal data', () => {
  test.each([
    ['My number is 07700 900417.', '07700 900417'],
    ['ring +44 (0)7700 900417 please', '+44 (0)7700 900417'],
    ['write anna.b@post.example', 'anna.b@post.example'],
    ['I live at 12 Old Mill Lane', '12 Old Mill Lane'],
    ['wohne Lindenstraße 14', 'Lindenstraße 14'],
    ['12 rue de la Ruche', '12 rue de la Ruche'],
    ['vivo en calle Mayor 7', 'calle Mayor 7'],
    ['order number 20417 is late', '20417'],
  ])('%s', (body, at) => {
    expect(found(body).filter(({ kind }) => kind === 'personal')).toEqual([
      { kind: 'personal', points: 0, at: [at] },
    ])
  })

  test('an order number is known by the shop’s own orders, in any spelling', () => {
    expect(found('mine was wb 2207', { knownOrderKeys: ['WB2207'] })).toEqual([
      { kind: 'personal', points: 0, at: ['wb 2207'] },
    ])
    expect(kinds('mine was the EX 2207', { knownOrderKeys: ['WB2207'] })).toEqual([])
  })

  test.each([
    'Bought on 12.05.2026 and again 2026-03-01',
    'Frames 60x40 cm, 1000 of them, 0.5 mm off',
    'Ten of 10, would order 3 again',
    'Saltmarsh Lane has a nice ring to it',
  ])('none in: %s', (body) => {
    expect(kinds(body)).toEqual([])
  })
})

describe('where it lands', () => {
  const lands = (body: string, more: Partial<Given> = {}) => {
    const signals = weigh({ title: '', body }, { ...calm, ...more })
    return arrivalState({
      ...ofBuyer,
      score: spamScore(signals),
      kinds: signals.map(({ kind }) => kind),
    })
  }
  const ofBuyer = { rating: null, source: 'form', language: null, product: '', verified: true } as const
  const link = 'see hivedeals.example'
  const contact = 'message me'
  const fast = { fillSeconds: 2 }

  test('nothing, or one sign alone, waits', () => {
    expect([lands('Good'), lands(link), lands(contact), lands('Good', fast)]).toEqual(
      Array(4).fill('waiting'),
    )
  })
  test('any two are held', () => {
    expect([lands(link, fast), lands(contact, fast)]).toEqual(['held', 'held'])
    // So short a text says nothing else, which the model counts too.
    expect(['held', 'spam']).toContain(lands(`${link} ${contact}`))
  })
  test('all three are spam', () => {
    expect(lands(`${link} ${contact}`, fast)).toBe('spam')
  })
  test('personal data, a missing token and a sprung trap hold without points', () => {
    expect(lands('call 07700 900417')).toBe('held')
    expect(lands('Good', { tokenGood: false, fillSeconds: null })).toBe('held')
    expect(lands('Good', { trapSprung: true })).toBe('held')
    expect(spamScore(weigh({ title: '', body: 'Good' }, { ...calm, trapSprung: true }))).toBe(0)
  })
  test('spam is stronger than held', () => {
    expect(lands(`${link} ${contact}`, { ...fast, trapSprung: true })).toBe('spam')
  })
  test('thresholds stand where the rules say', () => {
    expect([HELD_FROM, SPAM_FROM]).toEqual([60, 90])
    expect(arrivalState({ ...ofBuyer, score: 59, kinds: [] }, 'approved')).toBe('approved')
  })
})

test('places always lie inside the text, and points add up to the score', () => {
  const bits = fc.constantFrom(
    'hivedeals.example',
    'message me',
    '07700 900417',
    'a@b.example',
    '12 Mill Lane',
    '\n',
    '🐝',
    ' ',
    'é',
    '<script>',
    'WB-2207',
  )
  fc.assert(
    fc.property(
      fc.array(fc.oneof(bits, fc.string({ unit: 'grapheme', maxLength: 12 })), { maxLength: 30 }),
      (parts) => {
        const words = { title: parts[0] ?? '', body: parts.join(' ') }
        const signals = weigh(words, { ...calm, knownOrderKeys: ['WB2207'] })
        for (const place of signals.flatMap((signal) => signal.places)) {
          expect(place.start).toBeLessThan(place.end)
          expect(place.end).toBeLessThanOrEqual(words[place.field].length)
        }
        expect(spamScore(signals)).toBe(
          Math.min(
            100,
            signals.reduce((sum, { points }) => sum + points, 0),
          ),
        )
      },
    ),
  )
})

test('a long hostile text is weighed in no time', () => {
  const body = `${'0 '.repeat(1400)}${'a.'.repeat(700)}${'Rue '.repeat(200)}`
  expect(leastMs(() => weigh({ title: '', body }, calm))).toBeLessThan(500)
})
