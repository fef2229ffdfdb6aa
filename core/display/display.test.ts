import { wcagContrast } from 'culori'
import { describe, expect, test } from 'vitest'
import { brandShades } from './brand'
import { changesBetween } from './changes'
import { configurationSchema, startingConfiguration, type Configuration } from './configuration'
import { displayModel, type ShowableReview } from './displayModel'
import { publicName } from './publicName'
import { sentenceText } from './sentence'

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
])('%j is shown as %j', (name, shown) => {
  expect(publicName(name)).toBe(shown)
})

const draft: Configuration = {
  ...startingConfiguration,
  title: 'Kept bees a year longer',
  selection: { limit: 8, lowestRating: 4, order: 'highest' },
}

describe('the sentence', () => {
  test('says every part', () => {
    expect(sentenceText(draft)).toBe(
      'Show 8 reviews of 4 and up, highest first, side by side, under the title “Kept bees a year longer”.',
    )
    expect(
      sentenceText({ ...startingConfiguration, selection: { limit: 1, lowestRating: 1, order: 'newest' } }),
    ).toBe('Show 1 review of any rating, newest first, side by side, without a title.')
  })
  test('and so do the changes, one for each part that differs', () => {
    expect(
      changesBetween(startingConfiguration, draft).map(({ part, before, after }) => [part, before, after]),
    ).toEqual([
      ['limit', '6', '8'],
      ['lowestRating', 'any rating', '4 and up'],
      ['order', 'newest first', 'highest first'],
      ['title', 'without a title', 'under the title “Kept bees a year longer”'],
    ])
    expect(changesBetween(draft, draft)).toEqual([])
  })
  test('a configuration that makes no sense is refused', () => {
    expect(
      configurationSchema.safeParse({ ...draft, selection: { ...draft.selection, limit: 0 } }).success,
    ).toBe(false)
    expect(configurationSchema.safeParse({ ...draft, layout: 'spiral' }).success).toBe(false)
  })
})

const review = (id: number, rating: number | null, more: Partial<ShowableReview> = {}): ShowableReview => ({
  id,
  publicId: `r${id}`,
  rating,
  writtenAt: `2026-0${id}-01T00:00:00Z`,
  title: '',
  body: 'Words',
  authorName: 'Piotr Lis',
  language: null,
  productTitle: null,
  boughtAt: null,
  writtenDown: false,
  role: '',
  company: '',
  companyUrl: '',
  relationship: '',
  reply: null,
  portrait: null,
  companyLogo: null,
  ...more,
})
const shop = {
  name: 'Wrenfield Bee Supply',
  shortName: 'Wrenfield',
  locale: 'en-GB',
  timeZone: 'Europe/London',
  brand: '#e9b949',
}
const modelOf = (reviews: ShowableReview[]) =>
  displayModel({
    configuration: draft,
    shop,
    reviews,
    writeUrl: null,
    mediaUrl: 'https://reviews.example/media/',
    now: '2026-11-25T00:00:00Z',
  }).model

test('what is shown is picked; the average is that of all', () => {
  const model = modelOf([review(1, 500), review(2, 100), review(3, 400)])
  expect(model.quotations.map(({ publicId }) => publicId)).toEqual(['r1', 'r3'])
  expect(model.tally).toMatchObject({ count: 3, average: 1000 / 3 })
  expect(model.stock).toBe(3)
})

test('proof says the month, and only the year when it is before last year', () => {
  const proofs = ['2026-03-31T23:30:00Z', '2025-01-02T00:00:00Z', '2024-12-31T12:00:00Z', null].map(
    (boughtAt) => modelOf([review(1, 500, { boughtAt })]).quotations[0]!.proof,
  )
  expect(proofs).toEqual(['bought here, April 2026', 'bought here, January 2025', 'bought here, 2024', null])
})

test('a shop’s colours hold their contrast whatever its brand is', () => {
  for (const brand of ['#e9b949', '#7c4a5e', '#ffffff', '#ffff00', '#000000', 'rebeccapurple']) {
    const shades = brandShades(brand)
    expect(wcagContrast(shades.button, '#ffffff')).toBeGreaterThanOrEqual(4.5)
    expect(wcagContrast(shades.edge, '#ffffff')).toBeGreaterThanOrEqual(3)
    expect(wcagContrast(shades.onFill, shades.fill)).toBeGreaterThanOrEqual(4.5)
    expect(wcagContrast('#13262c', shades.ground)).toBeGreaterThanOrEqual(4.5)
  }
  expect(() => brandShades('honey')).toThrow(RangeError)
})
