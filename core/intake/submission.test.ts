import { describe, expect, test } from 'vitest'
import { designFor } from '../form/neededFields'
import { languageOf } from './language'
import { startingDesign } from '../form/startingDesign'
import type { Writers } from './writers'
import { submissionFields, submissionSchema } from './submission'

const good = { rating: '4', author_name: 'Piotr Lis', author_email: ' piotr@lis.example ' }
const read = (fields: Record<string, unknown>) =>
  submissionSchema({ skus: ['HK-2'], any: true }, startingDesign).safeParse({
    ...good,
    ...fields,
  })
const mistake = (fields: Record<string, unknown>) => {
  const result = read(fields)
  return result.success ? null : [result.error.issues[0]!.path[0], result.error.issues[0]!.message]
}

test('little is enough, and blanks are blanks', () => {
  expect(read({}).data).toMatchObject({
    rating: 4,
    title: '',
    body: '',
    author_email: 'piotr@lis.example',
    product: '',
    order_number: '',
    consent: false,
  })
})

test('words stay as they were typed', () => {
  const body = '  <script>alert(1)</script>\n\n two  spaces '
  expect(read({ body: body.replace(/\n/g, '\r\n') }).data?.body).toBe(body)
  expect(read({ author_name: ' O’Neill <b> ' }).data?.author_name).toBe(' O’Neill <b> ')
})

test.each([
  [{ rating: '9' }, 'rating', 'form.error.ratingScale'],
  [{ rating: '4.5' }, 'rating', 'form.error.ratingScale'],
  [{ rating: undefined }, 'rating', 'form.error.rating'],
  [{ author_name: '   ' }, 'author_name', 'form.error.name'],
  [{ author_name: 'x'.repeat(10_000) }, 'author_name', 'form.error.long?limit=120'],
  [{ author_email: 'anna@' }, 'author_email', 'form.error.emailShape'],
  [{ body: 'x'.repeat(3010) }, 'body', 'form.error.longText?over=10'],
  [{ product: 'XX' }, 'product', 'form.error.product'],
])('%j is a mistake in %s', (fields, field, message) => {
  expect(mistake(fields)).toEqual([field, message])
})

test('three thousand characters fit, line ends counted once', () => {
  expect(read({ body: `${'x'.repeat(2998)}\r\ny` }).success).toBe(true)
})

test('consent is given only by its box', () => {
  expect([read({ consent: 'on' }).data?.consent, read({ consent: 'no' }).data?.consent]).toEqual([
    true,
    false,
  ])
})

test('a language is told only where the text tells it', () => {
  expect(languageOf('Die Schleuder läuft ruhig und lässt sich leicht reinigen.')).toBe('de')
  expect(languageOf('Por fin un traje con las mangas largas. Ligero, se lava bien.')).toBe('es')
  expect(languageOf('Superb!')).toBeNull()
  expect(languageOf('nice gloves nice shop, more gloves at glovebarn.example')).toBeNull()
})

test('what a form does not ask about its writer is dropped, and what it needs is asked for', () => {
  expect(read({ role: 'baker', company: 'Berg & Co' }).data).toMatchObject({ role: '', company: '' })
  const asking = {
    ...startingDesign,
    role: { shown: true, required: false, label: '' },
    company: { shown: true, required: true, label: '' },
  }
  const schema = submissionSchema({ skus: null, any: false }, asking)
  expect(schema.parse({ ...good, company: ' Berg & Co ' })).toMatchObject({ role: '', company: 'Berg & Co' })
  for (const company of ['', ' ', 'x'.repeat(121)]) {
    const issues = schema.safeParse({ ...good, company }).error?.issues
    expect(issues?.map(({ path }) => path[0])).toEqual(['company'])
  }
  expect(submissionFields(asking)).toContainEqual({
    name: 'company',
    required: true,
    maxLength: 120,
  })
})

describe('rating, name and email address', () => {
  const left = { shown: false, required: false, label: '' }
  const optional = { shown: true, required: false, label: '' }
  const readWith = (design: object, writers: Writers, sent: object) =>
    submissionSchema(
      { skus: null, any: false },
      designFor({ ...startingDesign, ...design }, writers),
    ).safeParse(sent)
  const faults = (...given: Parameters<typeof readWith>) =>
    readWith(...given).error?.issues.map(({ path, message }) => [path[0], message]) ?? []

  test('may be optional, but then a rating or words are needed', () => {
    const design = { rating: optional, name: optional, email: optional }
    expect(readWith(design, 'anyone', { body: 'Good wax' }).data).toMatchObject({
      rating: null,
      author_name: '',
      author_email: '',
    })
    expect(readWith(design, 'anyone', { rating: '2' }).data).toMatchObject({ rating: 2, body: '' })
    for (const body of ['  ', '\u00a0\u200b\u2060', '\0'])
      expect(faults(design, 'anyone', { body })).toEqual([['rating', 'form.error.ratingOrWords']])
    for (const body of ['🐝', '!', '蜂']) expect(readWith(design, 'anyone', { body }).success).toBe(true)
    expect(faults({}, 'anyone', { author_name: 'Ada', author_email: 'ada@wendt.example' })).toEqual([
      ['rating', 'form.error.rating'],
    ])
    expect(faults(design, 'anyone', { rating: '6' })).toEqual([['rating', 'form.error.ratingScale']])
    expect(faults(design, 'anyone', { body: 'Good', author_email: 'anna@' })).toEqual([
      ['author_email', 'form.error.emailShape'],
    ])
  })

  test('are not read when they are left out', () => {
    const design = { rating: left, name: left, email: left }
    const sent = { rating: 'five', author_name: 'x'.repeat(500), author_email: 'no address', body: 'Good' }
    expect(readWith(design, 'anyone', sent).data).toMatchObject({
      rating: null,
      author_name: '',
      author_email: '',
    })
    expect(faults(design, 'anyone', { rating: '5' })).toEqual([['body', 'form.error.words']])
    const names = submissionFields({ ...startingDesign, ...design }).map(({ name }) => name)
    expect(names).not.toEqual(expect.arrayContaining(['rating']))
    expect(names.filter((name) => name.startsWith('author_'))).toEqual([])
  })

  test('are asked for where the writers have to be checked, whatever the design says', () => {
    const design = { rating: left, name: left, email: left, orderNumber: left }
    const sent = { body: 'Good' }
    expect(faults(design, 'confirmed', sent).map(([field]) => field)).toEqual(['author_email'])
    expect(faults(design, 'buyers', sent).map(([field]) => field)).toEqual([
      'author_name',
      'author_email',
      'order_number',
    ])
    expect(submissionFields(designFor({ ...startingDesign, ...design }, 'buyers'))).toEqual(
      expect.arrayContaining([expect.objectContaining({ name: 'order_number', required: true })]),
    )
  })
})
