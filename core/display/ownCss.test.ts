import fc from 'fast-check'
import { lexer, tokenize } from 'css-tree'
import { expect, test } from 'vitest'
import { expectLinear, repeated } from '../../tests/support/linearTime'
import { OWN_CSS_LIMIT } from './choices'
import { readOwnCss } from './ownCss'
import { allowedProperties } from './ownCssProperties'

const faultsOf = (text: string) => readOwnCss(text, null).findings.map(({ fault }) => fault)

test('appearance has an effect, within the display, over its own styles', () => {
  expect(
    readOwnCss('.eg-title, figure > p { color: #123; font-size: 2em }\n.eg { padding: 1em }', null),
  ).toEqual({
    css:
      '.eg .eg-title,.eg figure>p{color:#123!important;font-size:2em!important}' +
      '.eg{padding:1em!important}',
    paints: true,
    rules: [
      { css: '.eg .eg-title,.eg figure>p{color:#123!important;font-size:2em!important}', line: 1 },
      { css: '.eg{padding:1em!important}', line: 2 },
    ],
    findings: [],
  })
  expect(readOwnCss('@container (min-width: 600px) { .eg-name { letter-spacing: .02em } }', null)).toEqual({
    css: '@container (min-width:600px){.eg .eg-name{letter-spacing:.02em!important}}',
    rules: [{ css: '@container (min-width:600px){.eg .eg-name{letter-spacing:.02em!important}}', line: 1 }],
    paints: false,
    findings: [],
  })
  expect(readOwnCss('', null).css).toBe('')
  expect(readOwnCss('/* nothing yet */', null)).toEqual({
    css: '',
    paints: false,
    rules: [],
    findings: [],
  })
})

test('the custom properties of a display can be used, and no others', () => {
  expect(
    readOwnCss('a { border: 2px solid var(--eg-accent); border-radius: var(--eg-round) }', null).css,
  ).toBe('.eg a{border:2px solid var(--eg-accent)!important;border-radius:var(--eg-round)!important}')
  expect(faultsOf('a { color: var(--mine) }')).toEqual(['value'])
  expect(faultsOf('a { color: var(--eg-accent, transparent) }')).toEqual(['value'])
  expect(faultsOf('.eg { --eg-note: red }')).toEqual(['property'])
})

test.each([
  ...[
    'display:none',
    'visibility:hidden',
    'opacity:0',
    'position:absolute',
    'transform:scale(0)',
    'height:0',
  ],
  ...[
    'content:"5.0"',
    'clip-path:circle(0)',
    'width:1px',
    'overflow:hidden',
    'filter:blur(9px)',
    'all:unset',
  ],
  ...['z-index:9', 'order:3', 'zoom:0', 'animation:x 1s', '-webkit-text-fill-color:transparent', 'fill:gold'],
  ...['mask:none', 'float:left', 'text-indent:-99em', 'content-visibility:hidden', 'font:0/0 a', 'inset:0'],
])('%s is no matter of appearance', (declaration) => {
  expect(readOwnCss(`.eg-title{${declaration}}`, null)).toMatchObject({
    css: '',
    findings: [{ fault: 'property', what: declaration, line: 1, from: 10 }],
  })
})

test.each([
  ...['font-size:0', 'font-size:2px', 'font-size:calc(1px)', 'font-size:1vw', 'font-size:xx-small'],
  ...['line-height:0', 'line-height:.2', 'letter-spacing:-1em', 'margin:-10px', 'margin-left:-1em'],
  ...['margin:9999px', 'padding:300px', 'color:transparent', 'color:#fff0', 'color:rgb(0 0 0 / 0)'],
  ...['color:rgba(0,0,0,0)', 'color:color-mix(in srgb,red 0%,transparent)', 'max-width:10px', 'gap:500px'],
  ...['box-shadow:0 0 0 999px #fff', 'outline:300px solid #fff', 'border:99px solid #fff', 'max-width:0%'],
  ...['color:rgb(0,0,0,0)', 'color:hsl(0,0%,0%,0)', 'color:hsl(0 0% 0%/0)', 'color:rgb(0 0 0/1%)'],
  ...['color:light-dark(#fff,#000)', 'color:oklch(0 0 0/0)', 'color:lab(0 0 0/0)', 'color:#0000'],
  ...[
    'text-decoration:line-through 60px #fff',
    'text-decoration-line:line-through',
    'text-decoration:underline 60px #fff',
  ],
  ...['text-decoration-thickness:40px', 'list-style-type:"★★★★★ VERIFIED "', 'vertical-align:-9999px'],
  ...['vertical-align:-40%', 'font-family:Webdings', 'font-family:"Wingdings 3",serif', 'font-family:Symbol'],
  ...['font-family:MyBarcodes', 'outline-offset:99px', 'text-shadow:0 -20px #fff', 'box-shadow:0 -40px #fff'],
  ...[
    'font-style:oblique 80deg',
    'object-position:900px 0',
    'background-clip:text',
    'flex-direction:column-reverse',
  ],
  ...['text-wrap:nowrap', 'border-radius:400px', 'background-size:100% 2px'],
  ...['background:linear-gradient(red,red) center/100% 2px no-repeat'],
  ...['background-image:linear-gradient(#fff 45%,red 45% 55%,#fff 55%)', 'background-size:2px'],
  ...[
    'background:linear-gradient(#fff 45%,red 50%,#fff 55%)',
    'background:repeating-linear-gradient(red,blue)',
  ],
  ...['background-image:linear-gradient(red,blue),linear-gradient(red,blue)'],
])('%s would hide a text', (declaration) => {
  expect(readOwnCss(`.eg-title{${declaration}}`, null)).toMatchObject({
    css: '',
    findings: [{ fault: 'bounds' }],
  })
})

const white = { backgrounds: ['#ffffff'], texts: ['#1b1a17'], fixed: [] }
test.each([
  'p{color:#fff}',
  'p{color:white}',
  'p{color:#eee}',
  '.eg{background:#111}',
  '.eg{background-image:linear-gradient(#111,#000)}',
  'figure{color:#777;background:#666}',
  'figure{background:#000;color:#fff} .eg-words{color:#222}',
])('%s could leave a text unreadable', (css) => {
  expect(readOwnCss(css, white).findings.map(({ fault }) => fault)).toContain('contrast')
})

test('a text with its own background, or a colour that stands out from all of them, is welcome', () => {
  for (const css of [
    'figure{background:#123;color:#fff}',
    'p{color:#123}',
    '.eg{background:#ffe}',
    '.eg{background:linear-gradient(to right, #fff, #ffe 80%)}',
    'p{color:inherit}',
  ])
    expect(readOwnCss(css, white).findings, css).toEqual([])
  // A text whose colour is set by itself does not take over the rule's.
  const fixed = { ...white, fixed: ['#222222'] }
  expect(readOwnCss('figure{background:#123;color:#fff}', fixed).findings).toHaveLength(2)
})

test.each([
  '.eg:has(a) p',
  '.eg:is(a>b,.eg)~div',
  ':where(.eg)~div',
  'p:not(.eg *)',
  '[aria-label^="1"]',
  '.eg-glyphs[title="1"] p',
  'p:is(html *)',
  '.x .eg p',
  '.eg~div',
  '.eg.eg+p',
  'p:nth-child(1 of .low)',
  ':host(.a) p',
  'p::part(a)',
  '#pay',
  'html',
  ':lang(de)',
  'a:matches(b)',
  'p::after(x)',
])('the selector %s has no effect: it reaches beyond, or chooses reviews by what they say', (selector) => {
  expect(readOwnCss(`${selector}{color:#123}`, null)).toMatchObject({
    css: '',
    findings: [{ fault: 'selector' }],
  })
})

test.each([
  ...['color:reed', 'text-align:middle', 'background:url(https://tarn.example/x.png)', 'font-family:'],
  ...[
    'background-image:image-set("x.png" 1x)',
    'background:attr(x)',
    'background:element(#x)',
    'color:env(x)',
  ],
])('%s is no value here', (declaration) => {
  const { css, findings } = readOwnCss(`.eg-title{${declaration}}`, null)
  expect(css).toBe('')
  expect(findings).toHaveLength(1)
})

test('what is outside of the display, and other rules, have no effect, and say where they are', () => {
  expect(faultsOf(':host{color:red}html p{color:red}.eg + p{color:red}.x::slotted(a){color:red}')).toEqual(
    Array(4).fill('selector'),
  )
  expect(faultsOf('@import "x.css"; @font-face{font-family:x} @keyframes x{from{color:red}}')).toEqual(
    Array(3).fill('atRule'),
  )
  expect(faultsOf('p{color:red!important}')).toEqual(['important'])
  expect(readOwnCss('p{color:red}\n\n.eg-x{ colr: red }', null).findings).toEqual([
    { fault: 'property', what: 'colr: red', line: 3, from: 21, to: 30 },
  ])
  expect(faultsOf('{'.repeat(500))).toEqual(['deep'])
})

test('every allowed property is one that the check knows', () => {
  for (const property of allowedProperties)
    expect(lexer.matchProperty(property, 'inherit').error?.message, property).toBeUndefined()
})

test('no text leaves its layer, ends a style element or reaches beyond the display', () => {
  const piece = fc.constantFrom(
    ...['{', '}', '(', ')', '[', ']', '"', "'", ';', ':', ',', '/*', '*/', '\\', '@media', '@layer x', '!'],
    ...[
      '.eg',
      'p',
      'color',
      'red',
      '</style>',
      '<!--',
      '-->',
      'url(',
      'U+1',
      '#',
      '\n',
      ' ',
      '&',
      ':is(',
      '+',
    ],
    ...[
      'font-family',
      'a{color:red}',
      '@media (width<600px){',
      '\u0000',
      '\\26',
      '[x="',
      '@container',
      'var(',
    ],
  )
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 40 }), (pieces) => {
      const { css } = readOwnCss(pieces.join(''), null)
      expect(css).not.toMatch(/<[a-z/!?]/i)
      let depth = 0
      tokenize(css, (_type, start, end) => {
        const last = css[end - 1]!
        if ('{[('.includes(last)) depth++
        else if (end - start === 1 && '}])'.includes(last)) depth--
        expect(depth).toBeGreaterThanOrEqual(0)
      })
      expect(depth).toBe(0)
      expect(css === '' || /^(\.eg|@media|@container)/.test(css)).toBe(true)
    }),
    { numRuns: 400 },
  )
})

test.each([
  'a{',
  '(',
  'a{color:red}',
  ':not(',
  'a,',
  '/*',
  '"',
  'a{b:c;',
  '@media x{a{color:red}}',
  '.a .b ',
])('own CSS of %s is read in time that grows with its length', (part) => {
  expectLinear((text) => readOwnCss(text, white), repeated(part), OWN_CSS_LIMIT / 4)
})
