import fc from 'fast-check'
import { expect, test } from 'vitest'
import { excerptOf } from './excerpt'
import { isOutOfDate, reserveStyle, widthsToMeasure } from './reserve'
import { startingConfiguration } from './startingConfiguration'

const words = (text: string) => text.match(/\S+/gu) ?? []

test('a long review is cut after so many words, at the end of a sentence when one ends near', () => {
  const text = 'One two three four. Five six seven eight nine ten eleven twelve thirteen fourteen fifteen.'
  expect(excerptOf([text], 5)).toEqual({
    head: ['One two three four.'],
    rest: ['Five six seven eight nine ten eleven twelve thirteen fourteen fifteen.'],
    within: true,
  })
  expect(excerptOf([text], 3)).toMatchObject({ head: ['One two three'] })
})
test('what is hardly longer is shown whole', () => {
  expect(excerptOf(['One two three four five six.'], 3).rest).toEqual([])
  expect(excerptOf(['One'], 0)).toEqual({ head: ['One'], rest: [], within: false })
})
test('no word is lost or doubled by cutting', () => {
  fc.assert(
    fc.property(
      fc.array(fc.array(fc.constantFrom('bees', 'wax.', 'hum!', 'a'), { minLength: 1, maxLength: 30 }), {
        maxLength: 4,
      }),
      fc.integer({ min: 0, max: 60 }),
      (paragraphs, limit) => {
        const texts = paragraphs.map((list) => list.join(' '))
        const { head, rest } = excerptOf(texts, limit)
        expect([...head, ...rest].flatMap(words)).toEqual(texts.flatMap(words))
        if (rest.length > 0) expect(head.flatMap(words).length).toBeLessThanOrEqual(limit)
      },
    ),
  )
})

test('the copied code keeps the height for each width, and says when that has changed', () => {
  const measures = [
    { width: 240, height: 900.2 },
    { width: 430, height: 500 },
    { width: 470, height: 500 },
  ]
  expect(reserveStyle('front', startingConfiguration.layout, measures)).toBe(
    '<style>[data-elogio="front"]{container-type:inline-size}[data-elogio="front"]>a{display:block;min-height:901px}@container(min-width:430px){[data-elogio="front"]>a{min-height:500px}}@media(scripting:none){[data-elogio="front"]>a{position:static;width:auto;height:auto;min-height:0}}</style>',
  )
  const small = { ...startingConfiguration.layout, kind: 'ratingLine' as const }
  expect(reserveStyle('line', small, [{ width: 91.5, height: 24 }])).toContain('width:92px;height:24px')
  expect(isOutOfDate(measures, measures)).toBe(false)
  expect(isOutOfDate(measures, [{ width: 430, height: 640 }])).toBe(true)
})
test('it is measured at every mark, and close enough in between', () => {
  const widths = widthsToMeasure({ ...startingConfiguration.layout, marks: [433, 777, 1120], columns: 3 })
  expect(widths).toContain(433)
  expect(widths).toContain(777)
  expect(widths).not.toContain(1120)
  for (let i = 1; i < widths.length; i++) expect(widths[i]! / widths[i - 1]!).toBeLessThan(1.08)
  expect([widths[0], widths.at(-1)]).toEqual([240, 1600])
})
