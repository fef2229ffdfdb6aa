import { gzipSync } from 'node:zlib'
import { describe, expect, test } from 'vitest'
import { showable, configured, shownOf } from '../tests/support/display'
import {
  alignments,
  arrowForms,
  backgrounds,
  buttonForms,
  cardArrangements,
  cardFills,
  cardShadows,
  dateForms,
  dotForms,
  fonts,
  frames,
  layouts,
  lineKinds,
  nameForms,
  pagings,
  quoteMarks,
  sizes,
  speeds,
  textParts,
  textWeights,
} from '../core/display/choices'
import type { Configuration } from '../core/display/configuration'
import { layoutTraits } from '../core/display/layoutTraits'
import { readyLooks, themeOfLook } from '../core/display/looks'
import type { Card, TextStyle, Theme } from '../core/display/themeSchema'
import { renderDisplay } from './render'

/* Every control of the style changes what visitors get. */

const reviews = [showable(1, 500, { title: 'Good' }), showable(2, 300), showable(3, 400)]
const outputOf = (changed: Parameters<typeof configured>[0]) => {
  const { html, css } = renderDisplay(shownOf(reviews, configured(changed)))
  return html + css
}
const themed = (theme: Partial<Theme>, layout: Partial<Configuration['layout']> = { kind: 'grid' }) =>
  outputOf({ theme, layout })
const { card, buttons } = configured().theme

/** Each value gives an output of its own. */
function expectAllDiffer<T>(values: readonly T[], output: (value: T) => string) {
  expect(new Set(values.map(output)).size).toBe(values.length)
}

describe('every choice of a style is seen', () => {
  test.each([
    ['background', backgrounds],
    ['frame', frames],
    ['font', fonts],
    ['size', sizes],
    ['density', [60, 100, 160]],
    ['corners', [0, 8, 30]],
    ['inside', [0, 24]],
    ['around', [0, 24]],
    ['maxWidth', [0, 480, 900]],
    ['accent', ['', '#336699']],
  ] as const)('%s', (key, values) => {
    expectAllDiffer(values as readonly unknown[], (value) =>
      themed({
        [key]: value,
        background: 'light',
        ...(key === 'background' && { background: value as 'light' }),
      }),
    )
  })
  test('alignment of the whole', () => {
    expectAllDiffer(alignments, (align) => themed({ align, maxWidth: 600 }))
  })
  test.each([
    ['arrangement', cardArrangements],
    ['fill', cardFills],
    ['shadow', cardShadows],
    ['lineKind', lineKinds],
    ['lineWidth', [1, 4]],
    ['lineColour', ['', '#336699']],
    ['padding', [null, 8, 30]],
    ['corners', [2, 20]],
    ['quoteMark', quoteMarks],
  ] as const)('of each review: %s', (key, values) => {
    expectAllDiffer(values as readonly unknown[], (value) =>
      themed({ frame: 'box', card: { ...card, [key]: value } as Card }),
    )
  })
  test('buttons', () => {
    expectAllDiffer(buttonForms, (form) => themed({ buttons: { ...buttons, form } }))
    expectAllDiffer([0, 20], (corners) => themed({ buttons: { ...buttons, corners } }))
  })
  test('arrows and dots', () => {
    const moving = { kind: 'carousel' as const }
    expectAllDiffer(arrowForms, (arrows) => themed({ controls: { arrows, dots: 'round' } }, moving))
    expectAllDiffer(dotForms, (dots) => themed({ controls: { arrows: 'outline', dots } }, moving))
    expectAllDiffer(speeds, (speed) => outputOf({ layout: { ...moving, speed } }))
  })
  test('every property of every text', () => {
    const styles: TextStyle[] = [
      {},
      { size: 150 },
      { colour: '#336699' },
      { italic: true },
      { capitals: true },
      { above: 20 },
      ...fonts.map((font) => ({ font })),
      ...textWeights.map((weight) => ({ weight })),
      ...alignments.map((align) => ({ align })),
    ]
    for (const part of textParts) expectAllDiffer(styles, (style) => themed({ texts: { [part]: style } }))
  })
  test('looks, in every layout', () => {
    for (const kind of layouts) {
      if (layoutTraits[kind].shows !== 'reviews') continue
      expectAllDiffer(readyLooks, (look) => themed(themeOfLook(look), { kind }))
    }
  })
})

test('every part of a review and of the heading is seen', () => {
  const shown = [
    showable(1, 500, { language: 'de', answers: [{ label: 'Would you come again?', value: 'Yes' }] }),
  ]
  const of = (changed: Parameters<typeof configured>[0]) => {
    const { html, css } = renderDisplay(shownOf(shown, configured({ title: 'A', ...changed })))
    return html + css
  }
  expectAllDiffer(dateForms, (date) => of({ parts: { date } }))
  expectAllDiffer(['d MMM yyyy', 'yyyy'], (datePattern) => of({ parts: { date: 'pattern', datePattern } }))
  expectAllDiffer(nameForms, (name) => of({ parts: { name } }))
  expectAllDiffer([true, false], (language) => of({ parts: { language } }))
  expectAllDiffer([true, false], (answers) => of({ parts: { answers } }))
  expectAllDiffer([true, false], (bars) => of({ heading: { bars } }))
  expectAllDiffer(['none', 'name'] as const, (shop) => of({ heading: { shop } }))
  const { order } = configured().heading
  expectAllDiffer([order, order.toReversed()], (changed) => of({ heading: { order: changed } }))
})

test('a layout that is shown by pages has a way to the others, each its own', () => {
  expectAllDiffer(pagings, (paging) => {
    const kind = paging === 'none' ? null : paging
    const model = shownOf(reviews, configured({ layout: { kind: 'list', paging } }))
    const address = 'https://reviews.example/d/front?page='
    const { html, css } = renderDisplay({
      ...model,
      paging: kind && { kind, page: 1, pages: 3, total: 9, address },
    })
    return html + css
  })
})

test('there are no more columns than reviews, and a single one is no wider than it can be read', () => {
  const css = (count: number) =>
    renderDisplay(shownOf(reviews.slice(0, count), configured({ layout: { kind: 'grid', columns: 3 } }))).css
  const columns = (count: number) => [...css(count).matchAll(/--eg-n:(\d)/g)].map((match) => Number(match[1]))
  expect([1, 2, 3].map(columns)).toEqual([[1], [1, 2], [1, 2, 3]])
  expect(css(1)).toContain('--eg-n:1;max-width:44em')
})

test('the mark at the edge is on the side that is chosen', () => {
  expectAllDiffer(['left', 'right'] as const, (edgeSide) => outputOf({ layout: { kind: 'edge', edgeSide } }))
})

test('what differs at one width stands in a rule for that width alone', () => {
  const css = (bands: Configuration['bands']) =>
    renderDisplay(shownOf(reviews, configured({ bands, layout: { kind: 'grid' } }))).css
  const plain = css({})
  const phone = css({
    phone: { columns: 1, limit: 2, frame: 'box', texts: { title: { size: 70 } }, hidden: ['proof'] },
  })
  expect(phone.startsWith(plain)).toBe(true)
  const rule = phone.slice(plain.length)
  expect(rule).toMatch(/^@container \(min-width:0px\) and \(max-width:480px\)\{.*\}$/)
  for (const part of ['--eg-n:1', 'nth-child(n + 3)', 'border:1px', '.eg-title', '.eg-proof{display:none}'])
    expect(rule).toContain(part)
})

test('a width that shows more than the others gets them, and what is said of their number is true at each', () => {
  const many = Array.from({ length: 8 }, (_, i) => showable(i + 1, 500))
  const of = (limit?: number) =>
    renderDisplay(
      shownOf(
        many,
        configured({
          selection: { limit: 3 },
          bands: limit ? { phone: { limit, texts: {}, hidden: [] } } : {},
        }),
      ),
    )
  expect(of().html).toContain('These 3 were selected by Wrenfield from 8.')
  expect(of(5).html).toContain('Reviews selected by Wrenfield from 8.')
  expect(of(5).html.match(/<li/g)).toHaveLength(5)
  expect(of(5).css).toContain('.eg ol:not(.eg-bars)>li:nth-child(n + 4){display:none}')
  expect(of(2).css).not.toContain('nth-child(n + 4)')
})

test('twelve reviews of sixty words are small in every look', () => {
  const words =
    'The frames were square and the lid sat flush on all four sides, which I did not expect. '.repeat(4)
  const twelve = Array.from({ length: 12 }, (_, i) =>
    showable(i + 1, 100 * ((i % 5) + 1), {
      body: `${words.slice(i * 3, i * 3 + 330)} number ${i}`,
      authorName: `Writer ${i} of Many`,
      boughtAt: '2026-03-01T00:00:00Z',
    }),
  )
  for (const look of readyLooks) {
    const model = shownOf(twelve, configured({ selection: { limit: 12 }, theme: themeOfLook(look) }))
    const { html, css } = renderDisplay(model)
    expect(gzipSync(html + css, { level: 9 }).length, look).toBeLessThan(8000)
  }
})

test('a colour that a dark page would swallow has another one there', () => {
  const css = (colour: string) =>
    renderDisplay(shownOf(reviews, configured({ theme: { texts: { average: { colour } } } }))).css
  expect(css('#123456')).toMatch(/\.eg-dark \.eg-sum,\.eg-dark \.eg-whole\{color:#[0-9a-f]{6}\}/)
  expect(css('#8a8a8a')).not.toContain('.eg-dark .eg-sum')
})
