import { expect, test } from 'vitest'
import { configured } from '../../tests/support/display'
import { bandAt, changeInBand, differencesIn, inBand, sentLimit, withoutDifference } from './bands'
import { configurationSchema } from './configuration'

const base = configured({ title: 'Kept' })
const wanted = configured({
  title: 'Kept',
  layout: { columns: 1 },
  selection: { limit: 3 },
  parts: { portrait: false },
  theme: { density: 60, texts: { title: { size: 70 } } },
})

test('a change for one width is there alone, and each difference goes back by itself', () => {
  const changed = changeInBand(base, wanted, 'phone')
  expect(inBand(changed, 'phone')).toMatchObject({
    layout: { columns: 1 },
    selection: { limit: 3 },
    parts: { portrait: false },
    theme: { density: 60, texts: { title: { size: 70 } } },
  })
  expect({ ...changed, bands: {} }).toEqual(base)
  expect(inBand(changed, 'tablet')).toEqual(changed)
  expect(configurationSchema.parse(JSON.parse(JSON.stringify(changed))).bands.phone).toEqual(
    JSON.parse(JSON.stringify(changed.bands.phone)),
  )
  const differences = differencesIn(changed.bands.phone)
  expect(differences).toHaveLength(5)
  const back = differences.reduce((left, one) => withoutDifference(left, 'phone', one), changed)
  expect(back).toEqual(base)
})

test('what cannot differ by width changes everywhere', () => {
  const changed = changeInBand(base, configured({ title: 'New', theme: { background: 'dark' } }), 'phone')
  expect(changed).toMatchObject({
    title: 'New',
    theme: { background: 'dark' },
    bands: {},
  })
})

test('widths belong to a phone, a tablet or neither', () => {
  expect([320, 480, 481, 800, 801].map(bandAt)).toEqual(['phone', 'phone', 'tablet', 'tablet', null])
})

test('one width can show more reviews than the others, unless they come by pages', () => {
  const more = changeInBand(base, configured({ title: 'Kept', selection: { limit: 9 } }), 'phone')
  expect(more.selection.limit).toBe(base.selection.limit)
  expect(more.bands.phone!.limit).toBe(9)
  expect([sentLimit(base), sentLimit(more)]).toEqual([base.selection.limit, 9])
  const paged = configured({ title: 'Kept', layout: { paging: 'pages' } })
  const everywhere = { ...paged, selection: { ...paged.selection, limit: 9 } }
  expect(changeInBand(paged, everywhere, 'phone')).toEqual(everywhere)
})
