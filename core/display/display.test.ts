import { startingTheme } from './startingTheme'
import { describe, expect, test } from 'vitest'
import { beeShop, configured, showable, shownOf } from '../../tests/support/display'
import { readAsked } from './asked'
import { configurationSchema } from './configuration'
import { startingConfiguration } from './startingConfiguration'
import { jsonLdOf } from './jsonLd'
import { publicName } from './publicName'
import { readConfiguration } from './readConfiguration'
import { selectionFacts } from './selectionFacts'
import { changesBetween } from '../messages/display/changes'
import { sentenceText } from '../messages/display/sentence'
import { triedWith } from './tryOut'

describe('a name is shown', () => {
  test.each([
    ['Piotr Lis', 'Piotr L.'],
    ['  Lis, Piotr ', 'Piotr L.'],
    ['Dr. Anna Maria Berg', 'Anna B.'],
    ['Tess B.', 'Tess B.'],
    ['Ines', 'Ines'],
    ['Łucja żak', 'Łucja Ż.'],
    ['<b>Bold</b> Move', '<b>Bold</b> M.'],
    ['', ''],
    ['🐝', ''],
  ])('%j as %j from the start', (name, shown) => {
    expect(publicName(name)).toBe(shown)
  })
  test.each([
    ['full', 'Dr. Anna Maria Berg'],
    ['first', 'Anna'],
    ['initials', 'A. B.'],
    ['hidden', ''],
  ] as const)('as %s where that is chosen', (form, shown) => {
    expect(publicName('Dr. Anna  Maria Berg', form)).toBe(shown)
    expect(publicName('', form)).toBe('')
  })
})

const draft = configured({
  title: 'Kept bees a year longer',
  selection: { limit: 8, ratings: [4, 5], order: 'highest' },
})

describe('the sentence', () => {
  test('says every part that is set, and no other', () => {
    expect(sentenceText(draft)).toBe(
      'Show 8 reviews with 4 stars and up about every product, highest first, as a grid, under the title “Kept bees a year longer”, styled like the page around it, for the front page',
    )
    expect(sentenceText(configured({ selection: { limit: 1 } }))).toBe(
      'Show 1 review with any rating about every product, newest first, as a grid, styled like the page around it, for the front page',
    )
  })
  test('says what narrows, and products by their names', () => {
    const narrow = configured({
      selection: {
        ratings: [2, 3],
        products: { kind: 'chosen', skus: ['HK-2', 'SM-L'] },
        tags: ['gift'],
        languages: ['de', 'fr'],
        verifiedOnly: true,
      },
    })
    expect(sentenceText(narrow, beeShop.products)).toContain(
      'with 2 or 3 stars about Hive kit and Smoker, tagged gift, in German or French, from verified buyers, newest first',
    )
    expect(selectionFacts(narrow)).not.toEqual([])
    expect(selectionFacts(configured())).toEqual([])
  })
  test('of what shows no single review names no number', () => {
    expect(sentenceText(configured({ layout: { kind: 'badge' }, placement: { place: 'footer' } }))).toBe(
      'Show the rating of every product, as a badge, styled like the page around it, for the footer',
    )
  })
})

describe('what will change', () => {
  test('is told part by part', () => {
    expect(
      changesBetween(configured(), draft).map(({ part, before, after }) => [part, before, after]),
    ).toEqual([
      ['limit', '6', '8'],
      ['ratings', 'any rating', '4 stars and up'],
      ['order', 'newest first', 'highest first'],
      ['title', '', 'under the title “Kept bees a year longer”'],
    ])
    expect(changesBetween(draft, draft)).toEqual([])
  })
  test.each([
    ['byHand', { selection: { pins: [{ review: 'r1', at: 0 }] } }],
    ['columns', { layout: { marks: [500, 760, 1120] } }],
    ['moving', { layout: { autoplay: 6 } }],
    ['name', { parts: { name: 'full' } }],
    ['rating', { parts: { glyph: 'heart' } }],
    ['date', { parts: { date: 'day' } }],
    ['hiddenParts', { parts: { reply: false } }],
    ['shortened', { parts: { shortened: 40 } }],
    ['line', { heading: { line: 'And more' } }],
    ['summary', { heading: { average: false } }],
    ['button', { heading: { button: { words: 'Shop', url: 'https://wrenfield.example/' } } }],
    ['accent', { theme: { accent: '#112233' } }],
    ['frame', { theme: { frame: 'box' } }],
    ['spaces', { theme: { density: 120 } }],
    ['whenEmpty', { whenEmpty: 'nothing' }],
    ['description', { description: 'Praise' }],
    ['products', { selection: { products: { kind: 'chosen', skus: ['HK-2'] } } }],
  ] as const)('names %s, in words that differ', (part, changed) => {
    const [change, ...others] = changesBetween(configured(), configured(changed as never))
    expect(others).toEqual([])
    expect(change!.part).toBe(part)
    expect(change!.after).not.toBe(change!.before)
  })
  test('tells another order by hand and other products of the same number', () => {
    const hand = (...ids: string[]) => configured({ selection: { order: 'hand', hand: ids } })
    expect(changesBetween(hand('a', 'b'), hand('b', 'a'))).toHaveLength(1)
    const about = (...skus: string[]) => configured({ selection: { products: { kind: 'chosen', skus } } })
    expect(changesBetween(about('a', 'b', 'c'), about('a', 'b', 'd'))).toHaveLength(1)
  })
})

describe('a configuration', () => {
  test('of the first shape is read as the newest', () => {
    const old = {
      schema: 1,
      title: 'Praise',
      selection: { limit: 4, lowestRating: 4, order: 'highest' },
      layout: 'list',
    }
    expect(readConfiguration(JSON.stringify(old))).toEqual(
      configured({
        title: 'Praise',
        selection: { limit: 4, ratings: [4, 5], order: 'highest' },
        layout: { kind: 'list' },
      }),
    )
    expect(readConfiguration(JSON.stringify(startingConfiguration))).toEqual(startingConfiguration)
  })
  test.each([
    ['page', 'page'],
    ['paper', 'light'],
    ['ink', 'dark'],
    ['colour', 'colour'],
  ] as const)('of the second shape is read with the background it had: %s', (ground, background) => {
    const {
      theme: { background: _, ...dress },
      ...others
    } = draft
    expect(readConfiguration(JSON.stringify({ ...others, schema: 2, dress: { ...dress, ground } }))).toEqual({
      ...draft,
      theme: { ...draft.theme, background },
    })
  })
  test.each([
    [{ ...draft, selection: { ...draft.selection, limit: 0 } }],
    [{ ...draft, layout: { ...draft.layout, kind: 'spiral' } }],
    [{ ...draft, layout: { ...draft.layout, marks: [700, 430, 900] } }],
    [{ ...draft, heading: { ...draft.heading, button: { words: 'Go', url: 'javascript:alert(1)' } } }],
    [{ ...draft, theme: { ...draft.theme, colour: 'red;}body{display:none' } }],
  ])('that makes no sense is refused', (wrong) => {
    expect(configurationSchema.safeParse(wrong).success).toBe(false)
    expect(readConfiguration(JSON.stringify(wrong))).toBeNull()
  })
  test('of a later version, or cut off, is not read', () => {
    expect(readConfiguration(JSON.stringify({ ...draft, schema: 99 }))).toBeNull()
    expect(readConfiguration('{"schema":3,')).toBeNull()
  })
})

describe('what is shown', () => {
  const all = [
    showable(1, 500, { productSku: 'HK-2', productTitle: 'Hive kit' }),
    showable(2, 100),
    showable(3, 400, { source: 'manualEntry', writtenPrecision: 'moment' }),
  ]
  test('is picked; the average is that of all that customers rated', () => {
    const model = shownOf(all, configured({ selection: { ratings: [4, 5] } }))
    expect(model.quotations.map(({ publicId }) => publicId)).toEqual(['r3', 'r1'])
    expect(model.tally).toMatchObject({ count: 2, average: 300 })
    expect([model.publishableCount, model.ratings]).toEqual([3, [4, 5]])
  })
  test('beside a product it is that of the product', () => {
    const model = shownOf(all, configured(), { product: 'HK-2' })
    expect(model.tally).toMatchObject({ count: 1, average: 500 })
    expect([model.publishableCount, model.product]).toEqual([1, { sku: 'HK-2', title: 'Hive kit' }])
  })
  test('proof says the month, and only the year when it is before last year', () => {
    const proofs = ['2026-03-31T23:30:00Z', '2025-01-02T00:00:00Z', '2024-12-31T12:00:00Z', null].map(
      (boughtAt) => shownOf([showable(1, 500, { boughtAt })]).quotations[0]!.proof?.words ?? null,
    )
    expect(proofs).toEqual([
      'bought here, April 2026',
      'bought here, January 2025',
      'bought here, 2024',
      null,
    ])
  })
  test('how we know stands with it, and what the shop says itself is said to be so', () => {
    const proof = (boughtBy: 'mailbox' | 'orderNumber' | 'manual', boughtAt: string | null) =>
      shownOf([showable(1, 500, { boughtBy, boughtAt })]).quotations[0]!.proof!
    const at = '2026-03-31T12:00:00Z'
    expect(proof('mailbox', at).how).toMatch(/Email confirmed/)
    expect(proof('orderNumber', at).how).toMatch(/number and the name/)
    expect(proof('manual', null)).toEqual({
      words: 'bought here, says the shop',
      how: 'The shop added this itself; no order proves it.',
    })
  })
  test('a date is that of the day it was written, and none where nobody told', () => {
    const dates = shownOf(all, configured({ parts: { date: 'day' } })).quotations.map(
      ({ date }) => date?.words ?? null,
    )
    expect(dates).toEqual([null, '2 June 2026', '1 June 2026'])
  })
  test('speaks the language that a page asks for, where it can', () => {
    const words = (language: string) =>
      shownOf([showable(1, 500, { boughtAt: '2026-03-01T00:00:00Z' })], configured(), { language })
        .quotations[0]!.proof?.words
    expect(words('de')).toBe('hier gekauft, März 2026')
    expect(words('fr')).toBe('acheté ici, mars 2026')
  })
  test('hides what is switched off, but never that the shop wrote it down', () => {
    const parts = { name: 'hidden', rating: 'hidden', product: false, proof: false, words: false } as const
    const [written] = shownOf(all, configured({ parts })).quotations
    expect(written).toMatchObject({ name: '', marks: null, product: null, note: 'written down by the shop' })
    expect(written!.words.head).toEqual([])
  })
})

describe('what a page asks', () => {
  test.each([
    [
      'product=HK-2&limit=3&lang=de-AT&theme=dark',
      { product: 'HK-2', limit: 3, language: 'de', scheme: 'dark' },
    ],
    ['limit=900', { limit: 50 }],
    ['limit=-1&lang=xx&theme=pink&product=', {}],
    ['limit=1e9', {}],
  ])('%s is read', (query, asked) => {
    expect(readAsked(new URLSearchParams(query))).toEqual(asked)
  })
})

describe('structured data', () => {
  const rated = [
    showable(1, 500, { productSku: 'HK-2', body: 'Square </script>' }),
    showable(2, 300, { productSku: 'HK-2', source: 'manualEntry' }),
  ]
  test('is about one product, with customers’ own ratings only', () => {
    const model = shownOf(rated, configured(), { product: 'HK-2' })
    expect(jsonLdOf(model, 'https://reviews.example/d/front')).toMatchObject({
      '@type': 'Product',
      name: 'Hive kit',
      aggregateRating: { ratingValue: 5, ratingCount: 1 },
      review: [
        { author: { name: 'Piotr L.' }, reviewRating: { ratingValue: 5 }, datePublished: '2026-06-01' },
      ],
    })
  })
  test('praises no shop as a whole, no unknown product and nothing that only the shop wrote down', () => {
    const of = (reviews: typeof rated, product?: string) =>
      jsonLdOf(shownOf(reviews, configured(), product ? { product } : {}), '')
    expect(of(rated)).toBeNull()
    expect(of(rated, 'unheard-of')).toBeNull()
    expect(of([rated[1]!], 'HK-2')).toBeNull()
  })
})

test('a display can be looked at with other data, made of the shop’s own', () => {
  const own = [showable(1, 500, { boughtAt: 'x' }), showable(2, 400), showable(3, 300)]
  expect(triedWith(own, 'few')).toHaveLength(2)
  expect(triedWith(own, 'long').every(({ body }) => body.length >= 1200)).toBe(true)
  expect(triedWith(own, 'missing').every(({ boughtAt, title }) => !boughtAt && !title)).toBe(true)
  expect(triedWith(own, 'real')).toBe(own)
})

test('changes of the style are told by their values, and counted in the sentence', () => {
  const styled = configured({
    theme: {
      texts: { title: { size: 60, weight: 700 }, name: { italic: true } },
      card: { ...startingTheme.card, fill: 'tint', lineWidth: 2, lineKind: 'dashed' },
    },
  })
  const said = Object.fromEntries(
    changesBetween(configured(), styled).map(({ part, before, after }) => [part, [before, after]]),
  )
  expect(said).toEqual({
    texts: ['', 'title: 60% size, bold; names: italic'],
    cards: ['', 'background: a tint of the text and a dashed line of 2 px'],
  })
  const dashed = { ...startingTheme.card, lineKind: 'dashed' as const }
  expect(changesBetween(configured(), configured({ theme: { card: dashed } }))).toMatchObject([
    { part: 'cards', before: '', after: 'changed' },
  ])
  expect(sentenceText(styled)).toContain('styled like the page around it, with 3 changes')
  expect(sentenceText(configured({ theme: { background: 'colour' } }))).not.toContain('change')
})
