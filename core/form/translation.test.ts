import { describe, expect, test } from 'vitest'
import { askedQuestions } from './askedQuestions'
import { designSchema, type FormDesign } from './design'
import { startingDesign } from './startingDesign'
import { designIn, editedIn, withEdited } from './translation'

const design = designSchema.parse({
  schema: 1,
  heading: 'How was the course?',
  intro: 'Two minutes.',
  name: { label: 'Your name' },
  thanks: { link: { words: 'To the shop', url: 'https://wrenfield.example/' } },
  questions: [
    { id: 'hopes', kind: 'several', label: 'What did you want?', options: ['Honey', 'Quiet'], public: true },
    { id: 'easy', kind: 'scale', label: 'How easy?', low: 'hard', high: 'easy' },
  ],
})
const edited = (change: (shown: FormDesign) => FormDesign, from = design) =>
  withEdited(from, 'de', change(editedIn(from, 'de')))
const ofQuestion = (id: string, part: object) => (shown: FormDesign) => ({
  ...shown,
  questions: shown.questions.map((one) => (one.id === id ? { ...one, ...part } : one)),
})

test('an untranslated form says the same in every language', () => {
  expect(designIn(design, 'de')).toEqual(design)
  expect(designIn(startingDesign, 'fr')).toEqual(startingDesign)
  expect(
    designIn(
      edited((shown) => shown),
      'de',
    ),
  ).toMatchObject({ heading: 'How was the course?' })
})

test('changed texts are those of the language alone', () => {
  const german = edited((shown) => ({
    ...shown,
    heading: 'Wie war der Kurs?',
    name: { ...shown.name, label: 'Ihr Name' },
    thanks: { ...shown.thanks, text: 'Bis bald', link: { ...shown.thanks.link, words: 'Zum Laden' } },
  }))
  expect(designIn(german, 'de')).toMatchObject({
    heading: 'Wie war der Kurs?',
    name: { label: 'Ihr Name' },
    thanks: { text: 'Bis bald', link: { words: 'Zum Laden', url: 'https://wrenfield.example/' } },
  })
  expect({ ...german, translations: {} }).toEqual(design)
  expect(designIn(german, 'en')).toEqual(design)
  expect(designIn(german, 'de').translations).toEqual({})
  expect(designSchema.parse(JSON.parse(JSON.stringify(german)))).toEqual(german)
})

test('the text below the heading is translated as a whole, and emptied is that of all languages again', () => {
  const intro = [
    { type: 'paragraph' as const, content: [{ type: 'text' as const, text: 'Zwei Minuten.', marks: [] }] },
  ]
  const german = edited((shown) => ({ ...shown, intro }))
  expect(designIn(german, 'de').intro).toEqual(intro)
  expect(german.intro).toEqual(design.intro)
  expect(
    designIn(
      edited((shown) => ({ ...shown, intro: [] }), german),
      'de',
    ).intro,
  ).toEqual(design.intro)
  const emptied = edited(
    (shown) => ({ ...shown, heading: '' }),
    edited((shown) => ({ ...shown, heading: 'Kurs' })),
  )
  expect(designIn(emptied, 'de').heading).toBe('How was the course?')
})

describe('a question', () => {
  const german = edited(ofQuestion('hopes', { label: 'Was wollten Sie?', options: ['Honig', ''] }))

  test('is asked in the language; what is stored stays the option', () => {
    const [hopes] = askedQuestions(designIn(german, 'de'))
    expect(hopes).toMatchObject({
      label: 'Was wollten Sie?',
      options: ['Honey', 'Quiet'],
      words: { Honey: 'Honig', Quiet: 'Quiet' },
    })
    expect(german.questions).toEqual(design.questions)
    expect(editedIn(german, 'de').questions[0]!.options).toEqual(['Honig', 'Quiet'])
  })

  test('cannot be given more options in one language than it has', () => {
    const more = edited(ofQuestion('hopes', { options: ['Honig', 'Ruhe', 'Freunde'] }))
    expect(more.translations.de!.questions.hopes!.options).toEqual(['Honig', 'Ruhe'])
  })

  test('keeps its other settings for all languages, and can be moved, added and deleted there', () => {
    const required = edited(ofQuestion('hopes', { required: true, label: 'Was?' }), german)
    expect(required.questions[0]).toEqual({ ...design.questions[0]!, required: true })
    const moved = edited((shown) => ({ ...shown, questions: shown.questions.toReversed() }), german)
    expect(moved.questions).toEqual(design.questions.toReversed())
    const fewer = edited((shown) => ({ ...shown, questions: shown.questions.slice(1) }), german)
    expect(designIn(fewer, 'de').questions.map(({ id }) => id)).toEqual(['easy'])
    const added = { ...design.questions[1]!, id: 'added', label: 'Neu' }
    const longer = edited((shown) => ({ ...shown, questions: [...shown.questions, added] }), german)
    expect(longer.questions.at(-1)).toEqual(added)
  })
})
