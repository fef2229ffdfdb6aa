import { expect, test } from 'vitest'
import { languageOf } from './language'
import { startingDesign } from '../form/startingDesign'
import { submissionFields, submissionSchema } from './submission'

const good = { rating: '4', author_name: 'Piotr Lis', author_email: ' piotr@lis.example ' }
const read = (fields: Record<string, unknown>) =>
  submissionSchema({ skus: ['HK-2'], any: true, buyersOnly: false }, startingDesign).safeParse({
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
  const schema = submissionSchema({ skus: null, any: false, buyersOnly: false }, asking)
  expect(schema.parse({ ...good, company: ' Berg & Co ' })).toMatchObject({ role: '', company: 'Berg & Co' })
  for (const company of ['', ' ', 'x'.repeat(121)]) {
    const issues = schema.safeParse({ ...good, company }).error?.issues
    expect(issues?.map(({ path }) => path[0])).toEqual(['company'])
  }
  expect(submissionFields(asking, { buyersOnly: false })).toContainEqual({
    name: 'company',
    required: true,
    maxLength: 120,
  })
})
