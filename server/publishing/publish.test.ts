import { plainAct } from '../../core/moderation/reviewAct'
import { beforeEach, describe, expect, test } from 'vitest'
import type { Configuration } from '../../core/display/configuration'
import { startingConfiguration } from '../../core/display/configuration'
import { findDisplay } from '../data/displays'
import type { Member } from '../data/members'
import type { Shop } from '../data/shops'
import { jobKinds } from '../elogio'
import { startJobRunner, type JobRunner } from '../jobs/runner'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import type { Services } from '../services'
import { addMember, addShop, send, testServices } from '../../tests/support/shop'
import { discardDraft, makeLive, saveDraft } from './draft'
import { editorView } from './editorView'
import { embedCode } from './embedCode'
import { markInstallationStale } from './staleDisplays'
import { loadLiveDisplays, type LiveDisplays } from '../http/liveDisplays'

let services: Services
let shop: Shop
let mara: Member
let live: LiveDisplays
let jobs: JobRunner
beforeEach(async () => {
  ;({ services } = await testServices())
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
  live = await loadLiveDisplays(services.db)
  jobs = startJobRunner(services, jobKinds(services, live))
  return () => jobs.stop()
})

const KEY = 'wrenfield-page'
const draft = (changed: Partial<Configuration['selection']>, title = ''): Configuration => ({
  ...startingConfiguration,
  title,
  selection: { ...startingConfiguration.selection, ...changed },
})
const served = () =>
  JSON.parse(live.get(KEY)!.json.plain.toString()) as { html: string; version: number; stats: unknown }
async function approved(given: Parameters<typeof send>[2]): Promise<string> {
  const { publicId } = await send(services, 'wrenfield', given)
  await decide(services, shop, mara, publicId, plainAct('approve'), 1)
  return publicId
}

describe('what visitors get', () => {
  test('is nothing before the first time it is made live', async () => {
    await approved({})
    await jobs.drain()
    expect(live.get(KEY)).toBeUndefined()
  })
  test('is what was made live, and follows every decision by itself', async () => {
    await approved({ rating: 5, body: 'Five' })
    const two = await approved({ rating: 2, body: 'Two' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 3.5, count: 2, shown: 2 })
    const etag = live.get(KEY)!.json.etag
    await undo(services, shop, mara)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 5, count: 1, shown: 1 })
    expect(served().html).not.toContain('Two')
    expect(live.get(KEY)!.json.etag).not.toBe(etag)
    expect((await reviewView(services, shop, two))!.standsIn).toEqual([])
  })
  test('keeps the average of all when it shows fewer, and says that they were picked', async () => {
    for (const rating of [5, 4, 3, 1]) await approved({ rating, body: `Rated ${rating}` })
    await saveDraft(services, shop, KEY, draft({ lowestRating: 4 }))
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 3.25, count: 4, shown: 2 })
    expect(served().html).toContain('These 2 were picked by wrenfield.')
    expect(served().html).not.toContain('Rated 3')
  })
  test('never has one whose writer did not agree, nor counts it', async () => {
    await approved({ rating: 5 })
    await approved({ rating: 1, body: 'For your eyes only', consent: false })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 5, count: 1, shown: 1 })
    expect(served().html).not.toContain('eyes')
  })
  test('has no address, full name or number in it, and everything typed is text', async () => {
    await approved({
      title: '<img src=x onerror=alert(1)>',
      body: '<script>alert(1)</script>',
      author_name: 'Eve </style><b>Bold',
      author_email: 'eve@secret.example',
      order_number: 'WB-2091',
    })
    await saveDraft(services, shop, KEY, draft({}, '</h2><script>alert(2)</script>'))
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    const page = live.get(KEY)!.page.plain.toString()
    for (const output of [served().html, page]) {
      expect(output).not.toMatch(/<script|<img|<b>Bold|secret\.example|WB-2091/)
      expect(output).toContain('&lt;script&gt;alert(1)')
    }
  })
  test('is there again after a restart, from what was kept', async () => {
    await approved({ body: 'Kept' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    const again = await loadLiveDisplays(services.db)
    expect(again.get(KEY)!.json.plain.equals(live.get(KEY)!.json.plain)).toBe(true)
  })
  test('is rendered anew after an update of the application', async () => {
    await approved({ body: 'Kept' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    live.put(KEY, { body: '{"html":"as it was rendered before"}', page: '' })
    await markInstallationStale(services)
    await jobs.drain()
    expect(served().html).toContain('Kept')
  })
  test('proof, month and product stand with a proven buyer', async () => {
    await approved({ order_number: 'WB-2091', product: 'HK-2' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().html).toContain(
      '<b dir="auto">Piotr L.</b> on Hive kit<span class="eg-proof">bought here, March 2026</span>',
    )
  })
})

describe('a draft', () => {
  test('changes nothing for visitors until it is made live, with all that will change listed', async () => {
    await approved({ rating: 5, body: 'Five' })
    await approved({ rating: 2, body: 'Two', author_name: 'Kaspar Uhl' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    const before = served()
    await saveDraft(services, shop, KEY, draft({ lowestRating: 4 }, 'Praise'))
    await jobs.drain()
    expect(served()).toEqual(before)
    const view = (await editorView(services, shop, KEY))!
    expect(view.changes.map(({ part }) => part)).toEqual(['lowestRating', 'title'])
    expect(view.goes.map(({ name }) => name)).toEqual(['Kaspar U.'])
    expect(view.comes).toEqual([])
    expect([view.chosen.average, view.all.average, view.fitting]).toEqual([500, 350, [2, 2, 1, 1, 1]])
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served()).toMatchObject({ version: 2, stats: { shown: 1 } })
  })
  test('can be put back to what is live', async () => {
    await makeLive(services, shop, mara, KEY)
    await saveDraft(services, shop, KEY, draft({ limit: 3 }))
    await saveDraft(services, shop, KEY, draft({ limit: 4 }))
    await discardDraft(services, shop, KEY)
    const display = (await findDisplay(services.db, shop.id, { key: KEY }))!
    expect(display.draft.configuration).toEqual(display.live!.configuration)
  })
  test('of another shop is not there', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    expect(await editorView(services, other, KEY)).toBeNull()
    expect(await saveDraft(services, other, KEY, draft({ limit: 3 }))).toBeNull()
    expect(await makeLive(services, other, mara, KEY)).toBeNull()
  })
})

test('the code to paste holds the shop’s name as text', () => {
  const code = embedCode('https://reviews.example', { ...shop, name: 'A & "B" <i>' }, KEY)
  expect(code).toContain('Reviews of A &#38; &#34;B&#34; &#60;i&#62;</a>')
})
