import fc from 'fast-check'
import { expect, test } from 'vitest'
import { declarationsOf } from './css'
import { piecesOf } from './cssPieces'

const filler = (n: number, name = 'a') =>
  Array.from({ length: n }, (_, i) => `.${name}${i}{color:red}`).join('\n')
const read = (css: string) => piecesOf(css).flatMap(declarationsOf)

test('pieces hold the same rules as the sheet, also those inside of one long layer', () => {
  for (const css of [
    filler(5000),
    `@layer x{${filler(5000)}}`,
    `${filler(2000)}@media (min-width:1px){${filler(3000, 'b')}}${filler(2000, 'c')}`,
    `@media print{${filler(5000)}}p{color:blue}`,
    '',
  ]) {
    expect(read(css)).toEqual(declarationsOf(css))
    for (const piece of piecesOf(css)) expect(piece.length).toBeLessThan(60_000)
  }
})

test('a rule that nests too deeply is left out, and the others are read', () => {
  const deep = '@media x{'.repeat(50_000)
  expect(read(`p{color:red}${filler(2000)}${deep}`).length).toBeLessThanOrEqual(2001)
  expect(read(`${'@media x{'.repeat(40)}p{color:red}${'}'.repeat(40)} i{color:blue}`)).toEqual([
    { selector: 'i', property: 'color', value: 'blue' },
  ])
})

test('what was read before does not matter', () => {
  for (const opener of ['(', '[', '{', 'a(']) {
    read(opener.repeat(25))
    declarationsOf(opener.repeat(40))
    expect(declarationsOf("[,]}(,@layer/*'(")).toEqual([])
  }
}, 5000)

test('whatever stands in a sheet, reading it ends without an error', () => {
  const bits = fc.constantFrom(
    '@media x{',
    'a{',
    '}',
    '(',
    ')',
    '[',
    ']',
    '"',
    "'",
    '/*',
    '*/',
    'b:c;',
    '\\',
    'url(',
    ',',
    '@layer',
  )
  fc.assert(fc.property(fc.array(bits, { maxLength: 400 }), (parts) => void read(parts.join(''))))
})
