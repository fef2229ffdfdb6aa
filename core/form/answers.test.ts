import { describe, expect, test } from 'vitest'
import { expectLinear } from '../../tests/support/linearTime'
import { submissionFields, submissionSchema } from '../intake/submission'
import { answersIn } from './answers'
import { designProblems } from './designProblems'
import { designSchema, type FormDesign, type Question } from './design'
import { startingDesign } from './startingDesign'

const asking = (...questions: Partial<Question>[]): FormDesign =>
  designSchema.parse({
    schema: 1,
    questions: questions.map((question, i) => ({
      id: `q00${i}`,
      kind: 'short',
      label: `Question ${i}`,
      ...question,
    })),
  })
const good = { rating: '4', author_name: 'Piotr Lis', author_email: 'piotr@lis.example' }
function answered(design: FormDesign, fields: Record<string, unknown>) {
  const read = submissionSchema({ skus: [], any: false }, design).safeParse({
    ...good,
    ...fields,
  })
  return read.success
    ? answersIn(design, read.data)
    : read.error.issues.map(({ path, message }) => [path[0], message.split(' ')[0]])
}

test('a form without settings is the starting one', () => {
  expect(designSchema.parse({ schema: 1 })).toEqual(startingDesign)
})

describe('an answer', () => {
  test.each<[string, Partial<Question>, unknown, string | null]>([
    ['a line', { kind: 'short' }, 'Honey & <b>wax</b>', 'Honey & <b>wax</b>'],
    ['lines', { kind: 'long' }, 'One\r\nTwo', 'One\nTwo'],
    ['one of several', { kind: 'one', options: ['Red', ' Blue ', ''] }, 'Blue', 'Blue'],
    [
      'any of several, in their order',
      { kind: 'several', options: ['a, b', 'c', 'd'] },
      ['d', 'a, b'],
      'a, b\nd',
    ],
    ['a day', { kind: 'date' }, '2028-02-29', '2028-02-29'],
    ['a step', { kind: 'scale', steps: 7 }, '6', '6/7'],
    ['nothing', { kind: 'scale' }, '', null],
    ['nothing chosen', { kind: 'several', options: ['a'] }, undefined, null],
  ])('is %s', (_, question, given, value) => {
    const found = answered(asking({ public: true, ...question }), { answer_q000: given })
    expect(found).toEqual(value === null ? [] : [{ label: 'Question 0', value, question: 'q000' }])
  })

  test.each<[string, Partial<Question>, unknown]>([
    ['an option that is not offered', { kind: 'one', options: ['Red'] }, 'Blue'],
    ['an empty option', { kind: 'one', options: ['Red', ''], required: true }, ''],
    ['one of several that is not offered', { kind: 'several', options: ['a'] }, ['a', 'b']],
    ['more than there are', { kind: 'several', options: ['a'] }, ['a', 'a']],
    ['a day that does not exist', { kind: 'date' }, '2026-02-30'],
    ['a day in words', { kind: 'date' }, 'tomorrow'],
    ['a step beyond the scale', { kind: 'scale', steps: 5 }, '6'],
    ['a fraction', { kind: 'scale' }, '4.5'],
    ['10,000 characters', { kind: 'long' }, 'x'.repeat(10_000)],
    ['a blank', { kind: 'short', required: true }, ' \n '],
    ['two lines of a kind', { kind: 'one', options: ['a', 'b'] }, ['a', 'b']],
    ['nothing', { kind: 'several', options: ['a'], required: true }, undefined],
  ])('cannot be %s', (_, question, given) => {
    expect(answered(asking(question), { answer_q000: given })).toEqual([
      ['answer_q000', expect.stringMatching(/form\.error\./)],
    ])
  })

  test('to the shop alone says so, and keeps the words of its question', () => {
    expect(answered(asking({ label: ' Why? ' }), { answer_q000: 'So' })).toEqual([
      { label: 'Why?', value: 'So', question: 'q000', private: true },
    ])
  })
})

test('a question without words or choices is not asked, and keeps the form from being opened', () => {
  const design = asking({ label: ' ' }, { kind: 'one', options: ['', ' '] }, { label: 'Why?' })
  expect(
    Object.keys(submissionSchema({ skus: [], any: false }, design).shape).filter((name) =>
      name.startsWith('answer_'),
    ),
  ).toEqual(['answer_q002'])
  expect(designProblems(design)).toEqual([
    { fault: 'noWords', question: 'q000' },
    { fault: 'noOptions', question: 'q001' },
  ])
  expect(submissionFields(design).at(-1)).toEqual({
    ...{ name: 'answer_q002', label: 'Why?', kind: 'short', required: false },
  })
})

test('lengths, and what is required, are those of the design', () => {
  const design = designSchema.parse({
    schema: 1,
    title: { most: 20 },
    body: { required: true, least: 10 },
    product: { required: true },
    photos: { most: 0 },
  })
  const faults = (fields: object) => {
    const read = submissionSchema({ skus: ['HK-2'], any: true }, design).safeParse({
      ...good,
      ...fields,
    })
    return read.success ? [] : read.error.issues.map(({ path }) => path[0])
  }
  expect(faults({})).toEqual(['body', 'product'])
  expect(faults({ body: 'Too short', product: 'HK-2' })).toEqual(['body'])
  expect(faults({ body: 'Long enough', product: 'hk-2', title: 'x'.repeat(21) })).toEqual(['title'])
  expect(faults({ body: 'Long enough', product: 'HK-2', media: ['abc'] })).toEqual(['media'])
})

test('two hundred options and thirty questions are read in time that grows with what is sent', () => {
  const options = Array.from({ length: 200 }, (_, i) => `option ${i}`)
  const design = asking(...Array.from({ length: 30 }, () => ({ kind: 'several' as const, options })))
  const schema = submissionSchema({ skus: [], any: false }, design)
  expectLinear(
    (sent) => schema.safeParse({ ...good, answer_q000: sent.split(',') }),
    (length) => Array.from({ length }, (_, i) => `option ${i % 200}`).join(),
    5000,
  )
})
