import { expect, test } from 'vitest'
import { messageCode, translateCode, translateCodes } from './code'
import { customerTranslate } from './customers'
import { say } from './say/everything'

test('a code is hasText in each language, with its values', () => {
  const code = messageCode('form.error.long', { limit: 3000 })
  expect(translateCode(say, code)).toBe('That’s longer than 3,000 characters.')
  expect(translateCode(customerTranslate('de'), code)).toBe('Das sind mehr als 3.000 Zeichen.')
  expect(translateCode(say, messageCode('form.error.name'))).toBe('Please enter a name.')
})

test('values keep every character, and what looks like a number but is none stays a text', () => {
  const code = messageCode('photo.error.named', { name: 'a&b=c?d %20 {{x}}', problem: '007' })
  expect(translateCode(say, code)).toBe('a&b=c?d %20 {{x}}: 007')
})

test('a problem inside a message is hasText too', () => {
  const problem = messageCode('photo.refused.video')
  expect(translateCode(say, messageCode('photo.error.named', { name: 'a.mp4', problem }))).toBe(
    'a.mp4: This is a video. Please choose a photo.',
  )
})

test('codes one a line are hasText one after the other', () => {
  const codes = [messageCode('personal.phone'), messageCode('signal.personalDetail')].join('\n')
  expect(translateCodes(say, codes)).toBe('a phone number; everyone on your page could read it')
  expect(translateCodes(say, 'An old sentence.\nAnd a line.')).toBe('An old sentence.\nAnd a line.')
})

test('a sentence that was stored by an earlier version stays as it is', () => {
  for (const text of ['The file is not here any more.', 'Yes.', '', 'Something else? 1'])
    expect(translateCode(say, text)).toBe(text)
})
