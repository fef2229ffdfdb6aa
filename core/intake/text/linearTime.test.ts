import { expect, test } from 'vitest'
import { expectLinear, repeated } from '../../../tests/support/linearTime'
import { readText } from './readText'

const read = (text: string) => readText(text, ['Wrenfield'])

const parts = [
  ...[
    'a',
    'a ',
    ' ',
    '\n',
    '"',
    '“',
    '(',
    ')',
    '[',
    '<',
    '>',
    '@',
    '★',
    '*',
    '-',
    '—',
    '.',
    ',',
    ':',
    '9',
    'Ä',
    '\t',
    '\u00a0',
    '\u200e',
  ],
  ...[
    '5/5 ',
    "'http://.com=",
    '0>\nß\n\n',
    '1. ',
    'A. ',
    'A b c d e ',
    'Anna Berg: ',
    'Anna said ',
    'wrote: ',
    'a@b.example ',
    '12.05.2026 ',
    'x, ',
    '“a” — ',
    '(5)',
    ' - ',
  ],
  ...[
    'From: a\n',
    'Name: x\n',
    'Hi ',
    'Best regards\n',
    'On Mon wrote',
    '> ',
    'x\n\n',
    '---\n',
    '[12.05.2026, 14:03] L: x\n',
    '14:03 Tom\n',
  ],
]

test.each(parts)('%j again and again is read in time that grows with its length', (part) => {
  expectLinear(read, repeated(part), 5000)
})

test.each([' ', '.', '(', '-', '*', '"', '9', '★', 'a'])(
  '%j before, between and behind what is said, too',
  (part) => {
    expectLinear(read, (length) => `Anna Berg: great (5) ${repeated(part)(length)}`, 5000)
    expectLinear(read, (length) => `${repeated(part)(length)} — Anna Berg`, 5000)
    expectLinear(read, repeated(`Great ${part.repeat(90)}, `), 5000)
  },
)

test('a line with a long gap in it is read as two', () => {
  expect(read(`★★★★ Paint held through two winters.${' '.repeat(200)}Tom Ardley`)).toMatchObject([
    { authorName: 'Tom Ardley', body: 'Paint held through two winters.' },
  ])
})
