import { expect, test } from 'vitest'
import { decodeText } from './decodeText'

const latin = (text: string) => Buffer.from(text, 'latin1')

test.each<[string, Buffer, string, string]>([
  ['its header', latin('Blüten'), 'text/html; charset=ISO-8859-1', 'Blüten'],
  [
    'its own first lines',
    latin('<meta charset="windows-1252">Blüten'),
    'text/html',
    '<meta charset="windows-1252">Blüten',
  ],
  ['nothing', Buffer.from('Blüten'), 'text/html', 'Blüten'],
  ['a set that does not exist', Buffer.from('Blüten'), 'text/html; charset=x-nonsense', 'Blüten'],
  [
    'a style sheet’s rule',
    latin('@charset "iso-8859-1"; /* Blüten */'),
    'text/css',
    '@charset "iso-8859-1"; /* Blüten */',
  ],
])('text is decoded by %s', (_, body, type, text) => {
  expect(decodeText(body, type)).toBe(text)
})
