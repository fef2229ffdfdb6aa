import { plainAct } from '../../core/moderation/reviewAct'
import path from 'node:path'
import sharp from 'sharp'
import { beforeEach, describe, expect, test } from 'vitest'
import { manualEntrySchema } from '../../core/intake/manualEntry'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import { approvedTally, laneCounts, showableCount } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import { composer } from '../publishing/compose'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import type { Services } from '../services'
import { writeDown } from './writeDown'

let services: Services
let shop: Shop
let mara: TestMember
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})
const schema = manualEntrySchema(['HK-2'], '2026-11-25')
const write = (given: Record<string, string>) =>
  writeDown(services, shop, mara, schema.parse({ consent: 'on', ...given }))
const mistakes = (given: Record<string, string>) =>
  schema.safeParse(given).error?.issues.map(({ path, message }) => [path[0], message])

describe('what is written down', () => {
  test('stands at once, is shown as such, and counts in no average', async () => {
    const theirs = await send(services, 'wrenfield', { rating: 3 })
    await decide(services, shop, mara, theirs.publicId, plainAct('approve'), 1)
    const { state } = await write({
      rating: '4,5',
      body: 'Gone by noon.',
      author_name: 'Anna Berg',
      role: 'baker',
      company: 'Berg Bakery',
      company_url: 'https://berg.example',
      written_at: '2026-05-03',
      relationship: 'our neighbour',
      product: 'HK-2',
    })
    expect(state).toBe('approved')
    expect(await approvedTally(services.db, shop.id)).toMatchObject({ count: 1, average: 300 })
    expect(await showableCount(services.db, shop.id)).toBe(2)
    const { model } = await (await composer(services, shop)).compose(startingConfiguration, { key: 'front' })
    expect([model.tally.count, model.tally.average, model.publishableCount]).toEqual([1, 300, 2])
    expect(model.quotations.at(-1)).toMatchObject({
      name: 'Anna B.',
      note: 'written down by the shop',
      proof: null,
      besideName: [{ name: 'role', text: 'baker' }],
      relationship: 'our neighbour',
      marks: 5,
      product: 'Hive kit',
      company: { name: 'Berg Bakery', url: 'https://berg.example' },
    })
  })
  test('waits when asked to, is held by a rule, and is for the shop alone without agreement', async () => {
    expect((await write({ body: 'Lovely kit', waiting: 'on' })).state).toBe('waiting')
    expect((await write({ body: 'Ring her on 07700 900123' })).state).toBe('held')
    await writeDown(services, shop, mara, schema.parse({ body: 'Between us' }))
    expect(await laneCounts(services.db, shop.id)).toMatchObject({ waiting: 1, held: 1, approved: 1 })
    expect(await showableCount(services.db, shop.id)).toBe(0)
  })
  test('is in the log under who wrote it, and is no act that undo takes back', async () => {
    const { publicId } = await write({ body: 'Lovely kit' })
    expect((await reviewView(services, shop, publicId))!.history).toMatchObject([
      { act: 'write', memberName: 'Mara', state: 'approved' },
    ])
    expect((await undo(services, shop, mara)).outcome).toBe('nothing')
    await decide(services, shop, mara, publicId, plainAct('decline'), 1)
    expect(await undo(services, shop, mara)).toMatchObject({ outcome: 'done', state: 'approved' })
    const review = (await findReview(services.db, shop.id, { publicId }))!
    expect(review.publishedVersionId).toBe(review.versionId)
  })
})

test('only rating or words are essential; what makes no sense is said at its field', () => {
  expect(mistakes({ rating: '5' })).toBeUndefined()
  expect(mistakes({ body: 'Good' })).toBeUndefined()
  expect(mistakes({ author_name: 'Anna' })).toEqual([['body', 'write.error.empty']])
  expect(mistakes({ body: 'x', rating: '9' })).toEqual([['rating', 'write.error.rating']])
  expect(mistakes({ body: 'x', rating: '5,5' })).toEqual([['rating', 'write.error.rating']])
  expect(mistakes({ body: 'x', company_url: 'javascript:alert(1)' })).toEqual([
    ['company_url', 'write.error.address'],
  ])
  expect(mistakes({ body: 'x', written_at: '2027-01-01' })).toEqual([['written_at', 'write.error.future']])
})

test('a portrait is made anew and kept as a file that visitors can read; what is no picture is none', async () => {
  const drawing =
    '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="900" height="600" fill="#c98f3c"/></svg>'
  const portrait = `data:image/svg+xml;base64,${Buffer.from(drawing).toString('base64')}`
  await write({
    body: 'Gone by noon.',
    author_name: 'Anna Berg',
    portrait,
    company_logo: 'data:image/png;base64,AAAA',
  })
  const { model } = await (await composer(services, shop)).compose(startingConfiguration, { key: 'front' })
  const shown = model.quotations[0]!.portrait!
  expect(shown).toMatch(/^https:\/\/reviews\.wrenfield\.example\/media\/[0-9a-f]{32}\.webp$/)
  const made = await sharp(path.join(services.mediaFolder, shown.split('/').pop()!)).metadata()
  expect([made.format, made.width, made.height]).toEqual(['webp', 256, 171])
  expect(model.quotations[0]!.company).toBeNull()
  await write({ body: 'Again.', author_name: 'Anna Berg', portrait })
  expect(await services.db('media')).toHaveLength(1)
})
