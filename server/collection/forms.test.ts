import { beforeEach, expect, test } from 'vitest'
import { designSchema, type FormDesign } from '../../core/form/design'
import { startingDesign } from '../../core/form/startingDesign'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { plainAct } from '../../core/moderation/reviewAct'
import {
  addMember,
  addShop,
  allShowable,
  drainJobs,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { composer } from '../publishing/compose'
import { renderDisplay } from '../../onsite/render'
import type { Services } from '../services'
import { openForm } from './customerForm'
import {
  beginForm,
  closeForm,
  copyForm,
  discardFormDraft,
  formView,
  publishForm,
  saveFormDraft,
  setFormAddress,
  setFormRemoved,
} from './forms'

let services: Services
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const asking = (question: object, more: object = {}): FormDesign =>
  designSchema.parse({
    schema: 1,
    heading: 'How was the course?',
    questions: [{ id: 'hopes', kind: 'short', label: 'What did you hope for?', ...question }],
    ...more,
  })
const view = async (form: string) => (await formView(services, shop, form))!
async function opened(design: FormDesign): Promise<string> {
  const form = await beginForm(services, shop, 'short')
  await saveFormDraft(services, shop, form, design)
  expect(await publishForm(services, shop, form)).toBe('published')
  return form
}
/** Everything that visitors get of a table of answers. */
async function shownToVisitors(): Promise<string> {
  await drainJobs(services)
  const { compose } = await composer(services, shop)
  const configuration = {
    ...startingConfiguration,
    layout: { ...startingConfiguration.layout, kind: 'table' as const },
  }
  return renderDisplay((await compose(configuration, { key: 'x' })).model).html
}
async function approved(form: string, answers: Record<string, string>): Promise<void> {
  const { slug } = await view(form)
  const { publicId } = await send(services, slug, answers)
  const { revision } = (await findReview(services.db, shop.id, { publicId }))!
  await decide(services, shop, mara, publicId, plainAct('approve'), revision)
}

test('a new form is a draft that nobody can open; opened, its address shows what was published', async () => {
  const form = await beginForm(services, shop, 'usual')
  const { slug, state } = await view(form)
  expect(state).toBe('draft')
  expect(await openForm(services, slug)).toBeNull()
  await publishForm(services, shop, form)
  await saveFormDraft(services, shop, form, asking({}))
  expect((await view(form)).differs).toBe(true)
  expect((await openForm(services, slug))!.design).toEqual(startingDesign)
  await discardFormDraft(services, shop, form)
  expect((await view(form)).draft).toEqual(startingDesign)
})

test('a form with a question that cannot be answered stays as it was', async () => {
  const form = await opened(asking({}))
  await saveFormDraft(services, shop, form, asking({ kind: 'one', options: [''] }))
  expect(await publishForm(services, shop, form)).toBe('unready')
  expect((await openForm(services, (await view(form)).slug))!.design.questions[0]!.kind).toBe('short')
  expect(await publishForm(services, { ...shop, id: shop.id + 1 }, form)).toBe('missing')
})

test('what a customer began with is what is accepted, until the form is closed', async () => {
  const form = await opened(asking({ kind: 'one', options: ['Honey', 'Quiet'] }))
  const { slug } = await view(form)
  const begun = (await openForm(services, slug))!.form.version
  await saveFormDraft(services, shop, form, asking({ kind: 'one', options: ['Wax'] }))
  await publishForm(services, shop, form)
  expect((await openForm(services, slug))!.design.questions[0]!.options).toEqual(['Wax'])
  expect((await openForm(services, slug, begun))!.design.questions[0]!.options).toEqual(['Honey', 'Quiet'])
  // A made-up number is the published one.
  for (const version of [0, -1, 99, 1e15])
    expect((await openForm(services, slug, version))!.design.questions[0]!.options).toEqual(['Wax'])
  await closeForm(services, shop, form)
  expect((await openForm(services, slug, begun))!.form.state).toBe('closed')
})

test('answers for the shop alone never go out, whatever the question says later', async () => {
  const form = await opened(asking({ public: false }))
  await approved(form, { answer_hopes: 'Secret honey' })
  expect(await shownToVisitors()).not.toContain('Secret honey')
  await saveFormDraft(services, shop, form, asking({ public: true }))
  await publishForm(services, shop, form)
  await approved(form, { answer_hopes: 'Open honey', author_email: 'ada@wendt.example' })
  const html = await shownToVisitors()
  expect(html).toContain('Open honey')
  expect(html).not.toContain('Secret honey')
  expect(JSON.stringify((await allShowable(services, shop)).map(({ answers }) => answers))).not.toContain(
    'Secret',
  )

  await saveFormDraft(services, shop, form, asking({ public: false }))
  await publishForm(services, shop, form)
  expect(await shownToVisitors()).not.toContain('Open honey')
})

test('renamed, removed and with its form gone, a question’s answers stay under words that fit', async () => {
  const form = await opened(asking({ public: true, label: 'What did you <b>hope</b> for?' }))
  await approved(form, { answer_hopes: '<script>alert(1)</script>' })
  expect(await shownToVisitors()).toContain('&lt;script&gt;alert(1)&lt;/script&gt;')
  expect(await shownToVisitors()).toContain('What did you &lt;b&gt;hope&lt;/b&gt; for?')
  await saveFormDraft(services, shop, form, asking({ public: true, label: 'Your hopes' }))
  await publishForm(services, shop, form)
  expect(await shownToVisitors()).toContain('Your hopes')
  await setFormRemoved(services, shop, form, true)
  expect(await shownToVisitors()).toContain('Your hopes')
  await setFormRemoved(services, shop, form, false)
  await saveFormDraft(services, shop, form, { ...asking({}), questions: [] })
  await publishForm(services, shop, form)
  expect(await shownToVisitors()).toContain('What did you &lt;b&gt;hope&lt;/b&gt; for?')
})

test('an earlier address goes on working, and another form cannot take it', async () => {
  const form = await opened(asking({}))
  const before = (await view(form)).slug
  expect(await setFormAddress(services, shop, form, 'course')).toEqual({ outcome: 'moved' })
  expect((await openForm(services, before))!.form.slug).toBe('course')
  const other = await opened(asking({}))
  expect(await setFormAddress(services, shop, other, before)).toEqual({
    outcome: 'taken',
    free: `${before}-3`,
  })
  expect(await setFormAddress(services, shop, form, before)).toEqual({ outcome: 'moved' })
  expect((await openForm(services, 'course'))!.form.slug).toBe(before)
})

test('a copy is a draft with questions of its own; a removed form comes back with its reviews', async () => {
  const form = await opened(asking({}))
  const copy = (await copyForm(services, shop, form, 'Copy of it'))!
  const { draft, state, name } = await view(copy)
  expect([state, name, draft.heading]).toEqual(['draft', 'Copy of it', 'How was the course?'])
  expect(draft.questions[0]!.id).not.toBe('hopes')
  await approved(form, { answer_hopes: 'Honey' })
  const { slug } = await view(form)
  await setFormRemoved(services, shop, form, true)
  expect(await formView(services, shop, form)).toBeNull()
  expect(await openForm(services, slug)).toMatchObject({ isRemoved: true, isOpen: false })
  expect(await allShowable(services, shop)).toHaveLength(1)
  await setFormRemoved(services, shop, form, false)
  expect((await view(form)).days.at(-1)).toMatchObject({ sent: 1 })
})
