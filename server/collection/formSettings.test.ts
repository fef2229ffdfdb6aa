import { beforeEach, describe, expect, test } from 'vitest'
import { designSchema } from '../../core/form/design'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { plainAct } from '../../core/moderation/reviewAct'
import {
  addMember,
  addShop,
  allShowable,
  drainJobs,
  send,
  sendThrough,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { findDisplay } from '../data/displays'
import { findFormBySlug } from '../data/forms'
import { lessonsOf } from '../data/lessons'
import { approvedTally } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import { tagsOfReviews } from '../data/tags'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { composer } from '../publishing/compose'
import type { Services } from '../services'
import { issueLink } from './confirmation'
import { formToTry, openForm } from './customerForm'
import { beginForm, displayOfForm, formView, publishForm, saveFormDraft, setFormSettings } from './forms'
import { buildFormVisits } from './formVisits'
import { issueFormToken } from './formToken'
import { gatherView } from './gather'
import { consentOwn, ownReview } from './ownReview'
import { setProductWriters } from './products'
import { productsView } from './productViews'
import { removeTrials } from './trials'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let form: string
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
  form = (await findFormBySlug(services.db, 'wrenfield'))!.publicId
})

const reviewOf = async (publicId: string) => (await findReview(services.db, shop.id, { publicId }))!
async function approve(publicId: string): Promise<void> {
  await decide(services, shop, mara, publicId, plainAct('approve'), (await reviewOf(publicId)).revision)
}
const designed = async (design: object) => {
  await saveFormDraft(services, shop, form, designSchema.parse({ schema: 1, ...design }))
  await publishForm(services, shop, form)
}

describe('a test review', () => {
  const tried = async () => sendThrough(services, (await formToTry(services, shop, form))!)

  test('goes the whole way, and neither visitors nor figures nor the detection hear of it', async () => {
    const { publicId, showable } = await tried()
    expect(showable).toBe(false)
    expect(await reviewOf(publicId)).toMatchObject({ source: 'trial', state: 'waiting' })
    await approve(publicId)
    expect((await reviewOf(publicId)).state).toBe('approved')
    expect(await allShowable(services, shop)).toEqual([])
    expect((await approvedTally(services.db, shop.id)).count).toBe(0)
    expect(await lessonsOf(services.db, shop.id)).toEqual([])
    const gathered = await gatherView(services, shop)
    expect(gathered.arrivals.own.count).toBe(0)
    expect(gathered.latest).toEqual([])
    expect(gathered.forms[0]!.arrivals).toBe(0)
    expect((await formView(services, shop, form))!.days.every(({ sent }) => sent === 0)).toBe(true)
  })

  test('cannot be made public by the link in its email', async () => {
    const { publicId } = await tried()
    const { id } = await reviewOf(publicId)
    const link = await services.db.transaction((trx) =>
      issueLink(services, trx, { purpose: 'review', reviewId: id, days: 30 }),
    )
    const token = link.split('/').at(-1)!
    expect(await ownReview(services, token)).not.toBeNull()
    await consentOwn(services, token, true)
    expect((await reviewOf(publicId)).showable).toBe(false)
  })

  test('is removed with all others of its form in one go, and brought back; a new one is not among them', async () => {
    await approve((await tried()).publicId)
    await tried()
    await send(services, 'wrenfield', { author_email: 'ada@wendt.example' })
    const trials = async () => (await formView(services, shop, form))!.trials
    expect(await trials()).toBe(2)
    expect(await removeTrials(services, shop, mara, form)).toBe(true)
    await drainJobs(services)
    const states = async () => services.db('review').orderBy('id').pluck('state')
    expect(await states()).toEqual(['undone', 'undone', 'waiting'])
    expect(await trials()).toBe(0)
    await removeTrials(services, shop, mara, form, true)
    await drainJobs(services)
    expect(await states()).toEqual(['approved', 'waiting', 'waiting'])
    await removeTrials(services, shop, mara, form)
    await drainJobs(services)
    await tried()
    expect(await trials()).toBe(1)
    expect(await removeTrials(services, { ...shop, id: shop.id + 1 }, mara, form)).toBe(false)
  })

  test('can be sent through a draft that customers do not get', async () => {
    const draft = await beginForm(services, shop, 'short')
    const { form: found } = (await formToTry(services, shop, draft))!
    expect(await openForm(services, found.slug)).toBeNull()
    const { publicId } = await sendThrough(services, (await formToTry(services, shop, draft))!)
    expect((await reviewOf(publicId)).source).toBe('trial')
    expect(await formToTry(services, { ...shop, id: shop.id + 1 }, draft)).toBeNull()
  })
})

test('reviews get the tag of their form, and begin as it says', async () => {
  await setFormSettings(services, shop, form, { tag: 'course', arrivesAs: 'approved' })
  const { publicId, state } = await send(services, 'wrenfield')
  expect(state).toBe('approved')
  const { id } = await reviewOf(publicId)
  expect((await tagsOfReviews(services.db, shop.id, [id])).get(id)).toEqual(['course'])
  const link = { body: 'Cheap loans at https://loans.example now', author_email: 'x@loans.example' }
  expect((await send(services, 'wrenfield', link)).state).not.toBe('approved')
})

test('the last day counts as a whole where the shop is', async () => {
  await setFormSettings(services, shop, form, { lastDay: '2026-07-01' })
  const isOpen = async (now: string) => {
    clock.now = new Date(now)
    return (await openForm(services, 'wrenfield'))!.isOpen
  }
  // Summer time: the day ends an hour earlier than in UTC.
  expect(await isOpen('2026-07-01T22:59:00Z')).toBe(true)
  expect(await isOpen('2026-07-01T23:01:00Z')).toBe(false)
  expect((await formView(services, shop, form))!.isOver).toBe(true)
  await setFormSettings(services, shop, form, { lastDay: '' })
  expect(await isOpen('2030-01-01T00:00:00Z')).toBe(true)
})

test('a product can be open to verified buyers only, whatever the form says', async () => {
  const { products } = await productsView(services, shop)
  await setProductWriters(services, shop, products[0]!.publicId, 'buyers')
  const stranger = { author_email: 'ada@wendt.example', author_name: 'Ada Wendt' }
  expect((await send(services, 'wrenfield', { ...stranger, product: 'HK-2' })).state).toBe('held')
  expect((await send(services, 'wrenfield', stranger)).state).toBe('waiting')
  expect(await setProductWriters(services, { ...shop, id: 99 }, products[0]!.publicId, null)).toBe(false)
})

test('a product fixed by the form is the one that is reviewed, whatever is sent', async () => {
  await designed({ product: { fixed: 'HK-2' } })
  expect((await reviewOf((await send(services, 'wrenfield')).publicId)).productTitle).toBe('Hive kit')
})

test.each([
  ['announced', { text: 'HONEY10', announced: true }, 'hat einen Rabatt erhalten'],
  ['a surprise', { text: 'HONEY10', announced: false }, ''],
  ['none', { text: ' ', announced: true }, ''],
])('a coupon that is %s marks the review accordingly', async (_, coupon, mark) => {
  await designed({ coupon })
  const found = (await openForm(services, 'wrenfield'))!
  const { publicId } = await sendThrough(services, found, {}, { language: 'de' })
  await approve(publicId)
  expect((await allShowable(services, shop))[0]!.relationship).toBe(mark)
})

test('what a customer agreed to is kept in the words of the form', async () => {
  await designed({ consent: { label: 'You may print it in your catalogue' } })
  const { publicId } = await send(services, 'wrenfield')
  await designed({})
  const kept = await services
    .db('review_version')
    .where({ id: (await reviewOf(publicId)).versionId })
    .first('consent_text')
  expect(kept).toEqual({ consent_text: 'You may print it in your catalogue' })
})

test('a display made from a form shows the reviews that came through it', async () => {
  const other = await beginForm(services, shop, 'questions')
  await publishForm(services, shop, other)
  const { slug, draft } = (await formView(services, shop, other))!
  const answers = Object.fromEntries(draft.questions.map(({ id }, i) => [`answer_${id}`, i ? '4' : 'Honey']))
  await approve((await send(services, 'wrenfield')).publicId)
  await approve(
    (await send(services, slug, { ...answers, author_name: 'Ada Wendt', author_email: 'ada@wendt.example' }))
      .publicId,
  )
  await drainJobs(services)
  const key = (await displayOfForm(services, shop, other))!
  const { configuration } = (await findDisplay(services.db, shop.id, { key }))!.draft
  expect(configuration.layout.kind).toBe('table')
  const { compose, publishable } = await composer(services, shop)
  const { picked } = await compose(configuration, { key })
  expect(picked.map(({ authorName }) => authorName)).toEqual(['Ada Wendt'])
  const counts = await publishable.countsToPickFrom(
    startingConfiguration.selection,
    {},
    { skus: [], tags: [] },
  )
  expect(counts.tagged.map((one) => [one.form, one.count])).toEqual(
    expect.arrayContaining([
      [form, 1],
      [other, 1],
    ]),
  )
  expect(await displayOfForm(services, { ...shop, id: shop.id + 1 }, other)).toBeNull()
})

test('opened and begun are counted by day; a token counts once, and a made-up one not at all', async () => {
  const visits = buildFormVisits(services)
  const found = (await openForm(services, 'wrenfield'))!
  const token = issueFormToken(services.signingKey, form, 'n', clock.now)
  visits.opened(found)
  visits.opened(found)
  for (const one of [token, token, 'x', `${token}x`, '']) visits.begun(found, one)
  await visits.flush()
  visits.begun(found, token)
  clock.now = new Date('2026-11-26T00:00:30Z')
  visits.opened(found)
  await visits.flush()
  await visits.flush()
  expect((await formView(services, shop, form))!.days.slice(-2)).toEqual([
    { day: '2026-11-25', opened: 2, begun: 1, sent: 0 },
    { day: '2026-11-26', opened: 1, begun: 0, sent: 0 },
  ])
})
