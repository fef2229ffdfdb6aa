import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { csvText, guardFormulas, unguardFormulas } from './spreadsheetFile'

const hostile = fc.string({
  unit: fc.constantFrom(...'=+-@\'"\t\r\n;, aé＝', '\u2028'),
  maxLength: 12,
})

test('no cell begins a formula, wherever a program lets cells begin', () => {
  fc.assert(
    fc.property(hostile, (text) => {
      expect(guardFormulas(text)).not.toMatch(/(^|[\r\n;\u2028])[=+\-@＝]/)
    }),
  )
})

test('what was written comes back', () => {
  fc.assert(
    fc.property(fc.array(hostile, { minLength: 1, maxLength: 4 }), (cells) => {
      expect(unguardFormulas(guardFormulas(cells.join('\n')))).toBe(cells.join('\n'))
      const [row] = parse(csvText([cells]), { record_delimiter: '\r\n' }) as string[][]
      expect(row!.map(unguardFormulas)).toEqual(cells)
    }),
  )
})

test('a line break in a text begins no row, for a program that splits at each', () => {
  const rows = csvText([['Lovely.\n=1+1', 'x;=2']]).split(/\r?\n|;/)
  expect(rows.filter((line) => /^"?[=+\-@]/.test(line))).toEqual([])
})
