import { expect, test } from 'vitest'
import { customerTranslate } from '.'
import { greeting } from './greeting'

const words = customerTranslate('en')

test.each(['Piotr Lis', 'V. Peabody', 'Dr. Anna-Lena O’Brien', 'José', 'Ἑλένη Κ.', 'Maud  Pellerin'])(
  '%s is greeted by name',
  (name) => {
    expect(greeting(words, name)).toBe(`Hello ${name.replace(/\s+/g, ' ')},`)
  },
)

test.each([
  'spins.example',
  'https://spins.example/a',
  'www.spins.example',
  'spins . example',
  'Anna spins.example',
  'anna@spins.example',
  'Call 555 0100',
  'You have won a prize today',
  'x'.repeat(41),
  'spins。example',
  'A\u202eB',
  '',
  '.',
])('"%s" is not', (name) => {
  expect(greeting(words, name)).toBe('Hello,')
})
