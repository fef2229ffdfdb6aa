import { expect, test } from 'vitest'
import { expectLinear, repeated } from '../../tests/support/linearTime'
import { declarationsOf, withProperties } from './css'
import { piecesOf } from './cssPieces'
import { readPage } from './page'
import { readSite } from './readSite'
import { stillPage } from './stillPage'

const url = 'https://tarn.example/'
const page = readPage('', url)
const readCss = (css: string) => readSite(page, withProperties(piecesOf(css).flatMap(declarationsOf)), null)

const tags = [
  ...[
    '<div>',
    '<p>',
    '<b><p>',
    '<li>',
    '<table>',
    '<form>',
    '<svg>',
    '<template>',
    '<header>',
    '</div>',
    '<x-y>',
    '<option>',
  ],
  ...[
    '<',
    '<!--',
    '<![CDATA[',
    '<a href="',
    '<a ',
    '</',
    '&amp',
    '&#x',
    'a',
    '<i style="color:red">',
    '<i class=a>',
  ],
  ...[
    '<title>a | b',
    '<link rel="stylesheet icon" href="x">',
    '<meta name="x" content="y">',
    '<img src=x>',
    '<base href="x">',
  ],
  ...['<script type="application/ld+json">[', '<style>a{'],
]

test.each(tags)('a page of %s is read and stilled in time that grows with its length', (tag) => {
  expectLinear((html) => readPage(html, url), repeated(tag), 40_000)
  expectLinear((html) => stillPage(html, url), repeated(tag), 40_000)
})

test.each<[string, (length: number) => string]>([
  ['attributes', (n) => `<a ${Array.from({ length: n / 8 }, (_, i) => `a${i}=1`).join(' ')}>`],
  ['classes', (n) => `<i class="${Array.from({ length: n / 6 }, (_, i) => `c${i}`).join(' ')}">`],
  ['nested data', (n) => `<script type="application/ld+json">${'['.repeat(n)}${']'.repeat(n)}</script>`],
  [
    'nested graphs',
    (n) => `<script type="application/ld+json">${'{"@graph":'.repeat(n / 11)}1${'}'.repeat(n / 11)}</script>`,
  ],
  ['a long title', (n) => `<title>${' a : '.repeat(n / 5)}</title>`],
])('%s too', (_name, hostile) => {
  expectLinear((html) => readPage(html, url), hostile, 40_000)
})

test.each([
  ...[
    '@media x{',
    'a{',
    '(',
    '[',
    '{',
    '}',
    'a',
    'a,',
    'a{color:red}',
    'a{b:c;',
    '/*',
    '"',
    'url(',
    '\\',
    '@',
    ':not(',
    'a b ',
  ],
  ...[
    'a{--a:var(--b)var(--b)}',
    'a{b:(((',
    '@font-face{',
    '.a.b.c',
    'a{color:#',
    '!',
    '<!--',
    '@layer x{a{b:c}',
  ],
])('a sheet of %s is read in time that grows with its length', (part) => {
  expectLinear(readCss, repeated(part), 20_000)
})

test.each<[string, (length: number) => string]>([
  [
    'colours',
    (n) =>
      Array.from(
        { length: n / 25 },
        (_, i) => `.b${i}{color:#${(i * 7919).toString(16).padStart(6, '0').slice(-6)}}`,
      ).join(''),
  ],
  ['selectors times declarations', (n) => `${'a,'.repeat(n / 4)}b{${'color:red;'.repeat(n / 20)}}`],
  [
    'properties that refer on',
    (n) => Array.from({ length: n / 20 }, (_, i) => `:root{--p${i}:var(--p${i + 1})}`).join(''),
  ],
  ['a gap in a font', (n) => `body{font:12px ${' '.repeat(n)}x}`],
])('%s too', (_name, hostile) => {
  expectLinear(readCss, hostile, 20_000)
})

test('properties that name each other many times over come to nothing', () => {
  const laughs = Array.from({ length: 12 }, (_, i) => `--a${i}:${`var(--a${i + 1}) `.repeat(20)};`).join('')
  expect(() => readCss(`:root{${laughs}}a{color:var(--a0)}`)).not.toThrow()
})
