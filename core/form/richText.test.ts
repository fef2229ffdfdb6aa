import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { expectLinear } from '../../tests/support/linearTime'
import { cutRichText, plainTextOf } from './richText'

const text = (words: string, ...marks: object[]) => ({ type: 'text', text: words, marks })
const paragraph = (...content: object[]) => ({ type: 'paragraph', content })
const picture = { type: 'picture', attrs: { name: `${'0a'.repeat(16)}.webp`, alt: 'A hive' } }
const doc = (...content: object[]) => ({ type: 'doc', content })

test('lines of a plain text are paragraphs', () => {
  const cut = cutRichText('One\n\nTwo', 100)
  expect(cut).toEqual([paragraph(text('One')), paragraph(text('Two'))])
  expect(plainTextOf(cut)).toBe('One\nTwo')
  expect(cutRichText('', 100)).toEqual([])
})

test('what the editor makes is kept, and cut a second time stays the same', () => {
  const made = doc(
    paragraph(
      text('Plain, '),
      text('bold', { type: 'bold' }),
      text(' and both', { type: 'bold' }, { type: 'italic' }),
    ),
    {
      type: 'bulletList',
      content: [
        {
          type: 'listItem',
          content: [
            paragraph(text('here', { type: 'link', attrs: { href: 'https://wrenfield.example/a?b=c' } })),
          ],
        },
      ],
    },
    { type: 'heading', content: [text('More')] },
    picture,
    paragraph(),
  )
  const cut = cutRichText(made, 100)
  expect(cut).toEqual(made.content)
  expect(cutRichText(cut, 100)).toEqual(cut)
  expect(plainTextOf(cut)).toBe('Plain, bold and both\nhere\nMore')
})

describe('left out is', () => {
  const marked = (mark: object) => doc(paragraph(text('words', mark)))
  test.each([
    ['a link that runs a script', marked({ type: 'link', attrs: { href: 'javascript:alert(1)' } })],
    ['a link in disguise', marked({ type: 'link', attrs: { href: ' javascript:alert(1)' } })],
    ['a data address', marked({ type: 'link', attrs: { href: 'data:text/html,<script>' } })],
    ['an address of nothing', marked({ type: 'link', attrs: { href: 'https://' } })],
    ['a link without an address', marked({ type: 'link' })],
    ['a list as an address', marked({ type: 'link', attrs: { href: ['https://a.example'] } })],
    ['an unknown mark', marked({ type: 'textStyle', attrs: { color: 'red' } })],
  ])('%s, but not its words', (_, given) => {
    expect(cutRichText(given, 100)).toEqual([paragraph(text('words'))])
  })

  test.each<[string, unknown]>([
    ['a heading without words', doc({ type: 'heading', attrs: { level: 2 } })],
    ['a picture of another site', doc({ type: 'picture', attrs: { name: 'https://a.example/x.png' } })],
    ['a picture out of its folder', doc({ type: 'picture', attrs: { name: '../a.webp' } })],
    ['a picture', doc({ type: 'image', attrs: { src: 'https://a.example/x.png' } })],
    ['html', doc({ type: 'html', html: '<img onerror=alert(1)>' })],
    ['a list of nothing', doc({ type: 'bulletList', content: [] })],
    ['a number', 4],
    ['nothing', null],
    ['content that is no list', { type: 'doc', content: 'x' }],
    ['paragraphs in a ring of types', doc(Object.create({ type: 'doc' }) as object)],
  ])('%s', (_, given) => {
    expect(cutRichText(given, 100)).toEqual([])
  })

  test('pictures after the third, and all but their name and description', () => {
    const cut = cutRichText(doc(...Array.from({ length: 5 }, () => ({ ...picture, onerror: 'x' }))), 100)
    expect(cut).toEqual([picture, picture, picture])
  })

  test('what is longer than the limit', () => {
    expect(plainTextOf(cutRichText(doc(paragraph(text('12345')), paragraph(text('67890'))), 7))).toBe(
      '12345\n67',
    )
    expect(cutRichText('x'.repeat(5000), 1000)[0]).toEqual(paragraph(text('x'.repeat(1000))))
  })
})

test('whatever comes, what is left is allowed, and no longer than the limit', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (given) => {
      const cut = cutRichText(given, 50)
      expect(cutRichText(cut, 50)).toEqual(cut)
      expect(plainTextOf(cut).replaceAll('\n', '').length).toBeLessThanOrEqual(50)
    }),
  )
})

test('a document of many parts is cut in time that grows with its size', () => {
  expectLinear(
    (sent) => cutRichText(JSON.parse(sent), 1000),
    (length) =>
      JSON.stringify(doc(...Array.from({ length }, () => paragraph(text('words', { type: 'bold' }))))),
    2000,
  )
})
