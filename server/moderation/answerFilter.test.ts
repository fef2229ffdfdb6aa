import { beforeEach, expect, test } from 'vitest'
import { designSchema } from '../../core/form/design'
import { reviewFilterSchema } from '../../core/moderation/reviewFilter'
import { addMember, addShop, send, testServices } from '../../tests/support/shop'
import { beginForm, formView, publishForm, saveFormDraft, setFormRemoved } from '../collection/forms'
import { variedSentence } from '../../tests/support/submissions'
import type { ReviewState } from '../../core/moderation/rules'
import { wholeLane, type LeadingPart } from '../data/laneFilter'
import { reviewsInLane } from '../data/reviewLists'
import type { Shop } from '../data/shops'
import { tagReview, tagsNamed } from '../data/tags'
import type { Services } from '../services'
import { queueNames } from './notesAndDrafts'
import { queueView } from './queue'
import { rarestOf } from './rarestOf'
import { readFilter } from './readFilter'

let services: Services
let shop: Shop
let form: string
beforeEach(async () => {
  ;({ services } = await testServices())
  shop = await addShop(services, 'wrenfield', [await addMember(services, 'Mara')])
  form = await beginForm(services, shop, 'short')
  const design = {
    questions: [
      {
        id: 'needs',
        kind: 'several',
        label: 'What do you order?',
        options: ['Hives', 'Feed: winter', 'Suits'],
      },
      { id: 'easy', kind: 'scale', label: 'How easy?', steps: 5 },
      { id: 'more', kind: 'short', label: 'Anything else?' },
    ],
  }
  await saveFormDraft(services, shop, form, designSchema.parse({ schema: 1, ...design }))
  await publishForm(services, shop, form)
  const { slug } = (await formView(services, shop, form))!
  // As the schema of the form reads them.
  const answers = [
    { answer_needs: 'Hives\nFeed: winter', answer_easy: '5/5' },
    { answer_needs: 'Suits', answer_easy: '5/5', answer_more: 'Hives' },
    {},
  ]
  for (const [i, given] of answers.entries())
    await send(services, slug, {
      body: variedSentence(i),
      ...given,
      author_name: `Ada ${i}`,
      author_email: `ada${i}@wendt.example`,
    } as object)
  await send(services, 'wrenfield')
})

const found = async (asked: object) => {
  const filter = await readFilter(services, shop, 'waiting', reviewFilterSchema.parse(asked))
  const { lines, total } = await queueView(services, shop, filter, 10)
  expect(total).toBe(lines.length)
  return lines.map(({ authorName }) => authorName)
}

test('reviews are found by their form and by what was answered', async () => {
  expect(await found({})).toHaveLength(4)
  expect(await found({ form })).toEqual(['Ada 2', 'Ada 1', 'Ada 0'])
  expect(await found({ answer: 'needs:Hives' })).toEqual(['Ada 0'])
  expect(await found({ answer: 'needs:Feed: winter' })).toEqual(['Ada 0'])
  expect(await found({ answer: 'easy:5/5' })).toEqual(['Ada 1', 'Ada 0'])
  expect(await found({ answer: 'easy:5/5', form, rating: 4 })).toEqual(['Ada 1', 'Ada 0'])
  expect(await found({ form: 'unknown' })).toEqual([])
  expect(await found({ answer: "needs:' OR 1=1 --" })).toEqual([])
})

test('whatever leads the query, it finds the same reviews in the same order', async () => {
  const { db } = services
  const { lines } = await queueView(services, shop, wholeLane('waiting'), 10)
  await db.transaction(async (trx) => {
    const course = await tagsNamed(trx, shop.id, ['course'])
    for (const { id, authorName } of lines)
      if (authorName !== 'Ada 1') await tagReview(trx, shop.id, id, course)
  })
  const narrowed = { form, answer: 'easy:5/5', tag: 'course' }
  for (const asked of [
    narrowed,
    { ...narrowed, q: variedSentence(0).split(' ')[0] },
    { ...narrowed, sort: 'lowest' },
    { ...narrowed, from: '2020-01-01' },
  ]) {
    const filter = await readFilter(services, shop, 'waiting', reviewFilterSchema.parse(asked))
    const found = async (part: LeadingPart | null) =>
      (await reviewsInLane(db, shop.id, filter, part, 10)).map(({ authorName }) => authorName)
    for (const part of [null, 'tagId', 'formId', 'answer'] as const)
      expect(await found(part)).toEqual(['Ada 0'])
  }
})

test('what lets few reviews through leads a query, and the list does where it is smaller', async () => {
  const leading = async (asked: object, lane: ReviewState = 'waiting') =>
    rarestOf(services.db, shop, await readFilter(services, shop, lane, reviewFilterSchema.parse(asked)))
  expect(await leading({})).toBeNull()
  expect(await leading({ q: 'the' })).toBeNull()
  expect(await leading({ form })).toBe('formId')
  expect(await leading({ form, answer: 'needs:Hives' })).toBe('answer')
  expect(await leading({ form, rating: 4 })).toBe('formId')
  expect(await leading({ form, answer: 'needs:Hives', tag: 'nobody has it' })).toBe('tagId')
  expect(await leading({ form }, 'spam')).toBeNull()
})

test('forms and answers are offered by name; what cannot be read filters nothing', async () => {
  const { forms, answers } = await queueNames(services, shop)
  expect(forms.map(({ words }) => words)).toEqual(['Shop form', 'Form 2'])
  expect(answers.map(({ words }) => words).slice(0, 4)).toEqual([
    'What do you order? Hives',
    'What do you order? Feed: winter',
    'What do you order? Suits',
    'How easy? 1 / 5',
  ])
  for (const answer of ['', 'needs', ':Hives', `needs:${'x'.repeat(300)}`])
    expect(reviewFilterSchema.parse({ answer }).answer).toBeUndefined()
  await setFormRemoved(services, shop, form, true)
  expect((await queueNames(services, shop)).forms).toEqual([])
})
