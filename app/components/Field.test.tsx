import { renderToStaticMarkup } from 'react-dom/server'
import { expect, test } from 'vitest'
import { Field } from './Field'

const drawn = (more: { hint?: string; errors?: string[] }) =>
  renderToStaticMarkup(
    <Field name="note" label="Note" {...more}>
      {(attributes) => <input {...attributes} name="note" />}
    </Field>,
  )
const inputOf = (html: string) => /<input[^>]*>/.exec(html)![0]
const attribute = (html: string, name: string) => new RegExp(`${name}="([^"]*)"`).exec(html)?.[1]
/** The texts that an input is described by, in order. */
const described = (html: string) =>
  (attribute(inputOf(html), 'aria-describedby') ?? '')
    .split(' ')
    .filter(Boolean)
    .map((id) => new RegExp(`id="${id}"[^>]*>([^<]*)<`).exec(html)?.[1])

test('an input has its label, and is described by its mistake and its hint', () => {
  const html = drawn({ hint: 'only you', errors: ['problem.unknown'] })
  expect(attribute(html, 'for')).toBe(attribute(inputOf(html), 'id'))
  expect(described(html)).toEqual([expect.any(String), 'only you'])
  expect(attribute(inputOf(html), 'aria-invalid')).toBe('true')
})

test('what isn’t there describes nothing', () => {
  expect(described(drawn({ hint: 'only you' }))).toEqual(['only you'])
  expect(inputOf(drawn({}))).not.toContain('aria-')
})
