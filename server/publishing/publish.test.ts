import { insertProduct } from '../data/products'
import { plainAct, type ReviewAct } from '../../core/moderation/reviewAct'
import { beforeEach, describe, expect, test } from 'vitest'
import type { Configuration } from '../../core/display/configuration'
import { startingConfiguration } from '../../core/display/startingConfiguration'
import { findDisplay } from '../data/displays'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { jobKinds } from '../jobKinds'
import { startJobRunner, type JobRunner } from '../jobs/runner'
import { decide } from '../moderation/decide'
import { reviewView } from '../moderation/reviewView'
import { undo } from '../moderation/undo'
import type { Services } from '../services'
import { addMember, addShop, send, testServices, type TestMember } from '../../tests/support/shop'
import { displayCards } from './displayCards'
import { restoreVersion, makeLive, saveDraft } from './draft'
import { editorView as viewOf } from './editorView'
import { embedCode } from './embedCode'
import { reviewPolicy } from './reviewPolicy'
import { copyDisplay, restoreDisplay, remove, rename, setAddress, takeDown } from './manage'
import { startDisplay } from './newDisplay'
import { buildSeen, outdatedPages } from './seen'
import { markInstallationStale } from './staleDisplays'
import { displayVariants } from '../http/displayVariants'
import { loadLiveDisplays, type LiveDisplays } from '../http/liveDisplays'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let live: LiveDisplays
let jobs: JobRunner
beforeEach(async () => {
  const testing = await testServices({ published: (display) => live.put(display) })
  services = testing.services
  clock = testing.clock
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
const editorView = (of: Services, shown: Shop, key: string) => viewOf(of, shown, key, { trial: 'real' })
interface Served {
  html: string
  css: string
  version: number
  stats: { average: number | null; count: number; shown: number }
  jsonLd: unknown
}
const served = () => JSON.parse(live.json(KEY)!.plain.toString()) as Served
const asked = async (query: string, kind: '' | '.json' | '/all' = '.json') =>
  (await displayVariants(services, live)(KEY, kind, new URLSearchParams(query)))!.plain.toString()
const variant = async (query: string) => JSON.parse(await asked(query)) as Served
async function approved(given: Parameters<typeof send>[2]): Promise<string> {
  const { publicId } = await send(services, 'wrenfield', given)
  await decide(services, shop, mara, publicId, plainAct('approve'), 1)
  return publicId
}

describe('what visitors get', () => {
  test('is nothing before the first time it is made live', async () => {
    await approved({})
    await jobs.drain()
    expect(live.keyOf(KEY)).toBeUndefined()
  })
  test('is what was made live, and follows every decision by itself', async () => {
    await approved({ rating: 5, body: 'Five' })
    const two = await approved({ rating: 2, body: 'Two' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 3.5, count: 2, shown: 2 })
    const etag = live.json(KEY)!.etag
    await undo(services, shop, mara)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 5, count: 1, shown: 1 })
    expect(served().html).not.toContain('Two')
    expect(live.json(KEY)!.etag).not.toBe(etag)
    expect((await reviewView(services, shop, two))!.standsIn).toEqual([])
  })
  test('keeps the average of all when it shows fewer, and says that they were picked', async () => {
    for (const rating of [5, 4, 3, 1]) await approved({ rating, body: `Rated ${rating}` })
    await saveDraft(services, shop, KEY, draft({ ratings: [4, 5] }))
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().stats).toEqual({ average: 3.25, count: 4, shown: 2 })
    expect(served().html).toContain('These 2, rated 4 or 5, were selected by wrenfield from 4.')
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
    const page = await asked('', '')
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
    expect(again.json(KEY)!.plain.equals(live.json(KEY)!.plain)).toBe(true)
  })
  test('is rendered anew after an update of the application', async () => {
    await approved({ body: 'Kept' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    live.put({ shopId: shop.id, key: KEY, address: null, body: '{"html":"as it was rendered before"}' })
    await markInstallationStale(services)
    await jobs.drain()
    expect(served().html).toContain('Kept')
  })
  test('proof, month and product stand with a proven buyer', async () => {
    await approved({ order_number: 'WB-2091', product: 'HK-2' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().html).toContain(
      '<b class="eg-name" dir="auto">Piotr L.</b><span class="eg-on"> on Hive kit</span><details class="eg-proof"><summary title="The order number and the name match; it had been delivered."><span>bought here, March 2026</span></summary>',
    )
  })
})

describe('a draft', () => {
  const display = async () => (await findDisplay(services.db, shop.id, { key: KEY }))!
  const draftNow = async () => (await display()).draft
  test('changes nothing for visitors until it is made live, with all that will change listed', async () => {
    await approved({ rating: 5, body: 'Five' })
    await approved({ rating: 2, body: 'Two', author_name: 'Kaspar Uhl' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    const before = served()
    await saveDraft(services, shop, KEY, draft({ ratings: [4, 5] }, 'Praise'))
    await jobs.drain()
    expect(served()).toEqual(before)
    const view = (await editorView(services, shop, KEY))!
    expect(view.changes.map(({ part }) => part)).toEqual(['ratings', 'title'])
    expect(view.goes.map(({ name }) => name)).toEqual(['Kaspar Uhl'])
    expect(view.comes).toEqual([])
    expect([view.chosen.average, view.all.average]).toEqual([500, 350])
    expect(view.facets!.ratings).toEqual({ 2: 1, 5: 1 })
    expect(view.fairness.verdict).toBe('tooFew')
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served()).toMatchObject({ version: 2, stats: { shown: 1 } })
  })
  test('can be put back to what is live', async () => {
    await makeLive(services, shop, mara, KEY)
    await saveDraft(services, shop, KEY, draft({ limit: 3 }))
    await saveDraft(services, shop, KEY, draft({ limit: 4 }))
    await restoreVersion(services, shop, KEY)
    const display = (await findDisplay(services.db, shop.id, { key: KEY }))!
    expect(display.draft.configuration).toEqual(display.live!.configuration)
  })
  test('is not overwritten by a tab that does not know its latest change', async () => {
    const save = (limit: number, tab: string, base: string | null) =>
      saveDraft(services, shop, KEY, draft({ limit }), { tab, base })
    const base = (await draftNow()).savedAt
    clock.now = new Date(clock.now.getTime() + 1000)
    expect(await save(3, 'one', base)).toMatchObject({ outcome: 'saved' })
    // A tab always knows what it saved itself, whether or not the answer has arrived.
    clock.now = new Date(clock.now.getTime() + 1000)
    expect(await save(4, 'one', base)).toMatchObject({ outcome: 'saved' })
    const refused = await save(5, 'two', base)
    expect(refused).toEqual({ outcome: 'changedElsewhere', savedAt: (await draftNow()).savedAt })
    expect((await draftNow()).configuration.selection.limit).toBe(4)
    clock.now = new Date(clock.now.getTime() + 1000)
    expect(await save(5, 'two', refused!.savedAt)).toMatchObject({ outcome: 'saved' })
    expect(await save(6, 'one', base)).toMatchObject({ outcome: 'changedElsewhere' })
  })
  test('has own CSS only if a browser has judged how this draft is painted', async () => {
    const { theme } = draft({})
    const css = '.eg-title{color:#123}'
    const saved = () => saveDraft(services, shop, KEY, { ...draft({}), theme: { ...theme, css } })
    const judged = (await saved())!.savedAt
    clock.now = new Date(clock.now.getTime() + 1000)
    await saved()
    expect(await makeLive(services, shop, mara, KEY, judged)).toBe('changedMeanwhile')
    expect((await display()).live).toBeNull()

    await makeLive(services, shop, mara, KEY, (await draftNow()).savedAt)
    await jobs.drain()
    expect(served().css).toContain('.eg .eg-title{color:#123!important}')

    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(served().css).not.toContain('#123!important')
    expect((await draftNow()).configuration.theme.css).toBe('')
    const [, before] = (await editorView(services, shop, KEY))!.versions
    await restoreVersion(services, shop, KEY, before!.number)
    expect((await draftNow()).configuration.theme.css).toBe(css)
  })
  test('of another shop is not there', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    expect(await editorView(services, other, KEY)).toBeNull()
    expect(await saveDraft(services, other, KEY, draft({ limit: 3 }))).toBeNull()
    expect(await makeLive(services, other, mara, KEY)).toBeNull()
  })
})

describe('what a page asks for', () => {
  beforeEach(async () => {
    await approved({ rating: 5, product: 'HK-2', body: 'On the kit' })
    await approved({ rating: 1, body: 'On the shop' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
  })
  test('a product brings its own reviews and its own average, with data for search engines', async () => {
    const { html, stats, jsonLd } = await variant('product=hk-2')
    expect(stats).toEqual({ average: 5, count: 1, shown: 1 })
    expect(html).toContain('On the kit')
    expect(html).not.toContain('On the shop')
    expect(jsonLd).toMatchObject({ '@type': 'Product', name: 'Hive kit' })
    expect(served().jsonLd).toBeNull()
  })
  test('a product that the shop does not have brings nothing, and no figure', async () => {
    const { stats, jsonLd } = await variant('product=unheard-of')
    expect(stats).toEqual({ average: null, count: 0, shown: 0 })
    expect(jsonLd).toBeNull()
  })
  test('a number shows so many, and says that they were picked', async () => {
    const { html, stats } = await variant('limit=1')
    expect(stats).toEqual({ average: 3, count: 2, shown: 1 })
    expect(html).toContain('Selected by wrenfield from 2.')
  })
  test('a language changes the fixed texts only', async () => {
    expect((await variant('lang=de')).html).toContain('Bewertung schreiben')
  })
  test('follows decisions as the display itself does', async () => {
    expect((await variant('product=HK-2')).stats.count).toBe(1)
    await approved({ rating: 3, product: 'HK-2', body: 'Another' })
    await jobs.drain()
    expect((await variant('product=HK-2')).stats.count).toBe(2)
  })
  test('its page has a description, an address and all that it is about', async () => {
    await saveDraft(services, shop, KEY, { ...draft({ limit: 1 }), description: 'Praise & "more"' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    const page = await asked('', '')
    expect(page).toContain('<meta name="description" content="Praise &amp; &quot;more&quot;"/>')
    expect(page).not.toContain('ld+json')
    expect(await asked('product=HK-2', '')).toContain('<script type="application/ld+json">')
    const all = await asked('', '/all')
    expect(all).toContain('On the kit')
    expect(all).toContain('On the shop')
  })
})

describe('which displays a change marks', () => {
  const about = async (sku: string, more: Partial<Configuration['selection']> = {}) => {
    const key = (await copyDisplay(services, shop, KEY))!
    const products = { kind: 'chosen' as const, skus: [sku] }
    await saveDraft(services, shop, key, draft({ products, ...more }))
    await makeLive(services, shop, mara, key)
    return key
  }
  const marked = async () => {
    const keys: string[] = await services.db('display').where('stale', '>', 0).orderBy('id').pluck('key')
    await jobs.drain()
    return keys
  }
  test('those whose scope its product is in, those that show it, and those that select by tags', async () => {
    const hive = await about('HK-2')
    const tagged = await about('HK-2', { tags: ['gift'] })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    await approved({ product: 'HK-2', author_email: 'a@post.example' })
    expect(await marked()).toEqual([KEY, hive, tagged])
    const other = await approved({ author_email: 'b@post.example', body: 'Of no product.' })
    expect(await marked()).toEqual([KEY])
    const act = async (kind: ReviewAct) => {
      const { revision } = (await findReview(services.db, shop.id, { publicId: other }))!
      await decide(services, shop, mara, other, kind, revision)
    }
    await act({ kind: 'reply', reply: 'Thank you' })
    expect(await marked()).toEqual([KEY])
    await act({ kind: 'tag', tag: 'gift' })
    expect(await marked()).toEqual([KEY, tagged])
    await act({ kind: 'move', product: 'HK-2' })
    expect(await marked()).toEqual([KEY, hive, tagged])
  })
  test('a variant for another product follows although its display is not marked', async () => {
    await insertProduct(services.db, shop.id, 'smoker', { sku: 'SM-L', title: 'Smoker' })
    const hive = await about('HK-2')
    await jobs.drain()
    const variantOf = async () =>
      JSON.parse(
        (await displayVariants(services, live)(
          hive,
          '.json',
          new URLSearchParams('product=SM-L'),
        ))!.plain.toString(),
      ) as Served
    expect((await variantOf()).stats.count).toBe(0)
    await approved({ product: 'SM-L' })
    expect(await marked()).toEqual([])
    expect((await variantOf()).stats.count).toBe(1)
  })
})

describe('displays as a whole', () => {
  test('one that can’t be read stays as it was published, and the others go on', async () => {
    const copy = (await copyDisplay(services, shop, KEY))!
    await rename(services, shop, copy, 'From tomorrow')
    for (const key of [KEY, copy]) await makeLive(services, shop, mara, key)
    await jobs.drain()
    const before = live.json(copy)!.plain.toString()
    await services
      .db('display_version')
      .whereIn('id', services.db('display').where({ key: copy }).select('live_version_id'))
      .update({ configuration: '{"schema":99}' })
    await approved({ body: 'Still here' })
    await jobs.drain()
    expect(served().html).toContain('Still here')
    expect(live.json(copy)!.plain.toString()).toBe(before)
    const { cards, unreadable } = await displayCards(services, shop)
    expect(cards.map(({ key }) => key)).toEqual([KEY])
    expect(unreadable).toEqual([{ key: copy, name: 'From tomorrow' }])
    expect((await reviewPolicy(services, shop.slug))!.shown).toBe(1)
  })
  test('are started from a look, copied and named, each under a key of its own', async () => {
    const key = await startDisplay(services, shop, 'carousel')
    const copy = await copyDisplay(services, shop, key)
    expect(await rename(services, shop, copy!, 'Summer')).toBe(true)
    const { cards } = await displayCards(services, shop)
    expect(cards.map(({ name, state }) => [name, state])).toEqual([
      ['Front page', 'draft'],
      ['Sliding row', 'draft'],
      ['Summer', 'draft'],
    ])
    expect(new Set(cards.map(({ key }) => key)).size).toBe(3)
    expect(cards[2]!.sentence).toBe(cards[1]!.sentence)
  })
  test('are taken down and put back as they were', async () => {
    await approved({ body: 'Here' })
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    await saveDraft(services, shop, KEY, draft({}, 'Not yet'))
    expect(await takeDown(services, live, shop, mara, KEY)).toEqual({ name: 'Front page', wasLive: true })
    expect(live.keyOf(KEY)).toBeUndefined()
    await markInstallationStale(services)
    await jobs.drain()
    expect(live.keyOf(KEY)).toBeUndefined()
    await restoreDisplay(services, shop, mara, KEY, true)
    await jobs.drain()
    expect(served().html).toContain('Here')
    expect(served().html).not.toContain('Not yet')
  })
  test('are removed, gone from every place, and brought back', async () => {
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    await remove(services, live, shop, mara, KEY)
    expect((await displayCards(services, shop)).cards).toEqual([])
    expect(await editorView(services, shop, KEY)).toBeNull()
    expect(live.keyOf(KEY)).toBeUndefined()
    await restoreDisplay(services, shop, mara, KEY, true)
    await jobs.drain()
    expect(served().version).toBe(1)
  })
  test('remember what was live, with who made it so, and go back to it as a draft', async () => {
    await makeLive(services, shop, mara, KEY)
    await saveDraft(services, shop, KEY, draft({ limit: 3 }))
    await makeLive(services, shop, mara, KEY)
    const view = (await editorView(services, shop, KEY))!
    expect(view.versions.map(({ number, by, live: on }) => [number, by, on])).toEqual([
      [2, 'Mara', true],
      [1, 'Mara', false],
    ])
    await restoreVersion(services, shop, KEY, 1)
    expect((await editorView(services, shop, KEY))!.changes.map(({ after }) => after)).toEqual(['6'])
    await jobs.drain()
    expect(served().version).toBe(2)
  })
  test('get an address of their own choice; a taken one is answered with a free one', async () => {
    await makeLive(services, shop, mara, KEY)
    const other = await startDisplay(services, shop, 'list')
    expect(await setAddress(services, shop, KEY, 'praise')).toBeNull()
    expect(await setAddress(services, shop, other, 'praise')).toEqual({ taken: 'praise-2' })
    expect(await setAddress(services, shop, other, KEY)).toEqual({ taken: `${KEY}-2` })
    await jobs.drain()
    expect(live.keyOf('praise')).toBe(KEY)
    await setAddress(services, shop, KEY, 'more-praise')
    await jobs.drain()
    expect([live.keyOf('praise'), live.keyOf('more-praise')]).toEqual([undefined, KEY])
  })
  test('are nobody else’s to touch', async () => {
    const other = await addShop(services, 'saltmarsh', [mara])
    await makeLive(services, shop, mara, KEY)
    await jobs.drain()
    expect(await copyDisplay(services, other, KEY)).toBeNull()
    expect(await rename(services, other, KEY, 'Mine')).toBe(false)
    expect(await takeDown(services, live, other, mara, KEY)).toBeNull()
    expect(await remove(services, live, other, mara, KEY)).toBeNull()
    expect(await restoreDisplay(services, other, mara, KEY, true)).toBeNull()
    expect(await restoreVersion(services, other, KEY, 1)).toBeNull()
    expect(live.keyOf(KEY)).toBe(KEY)
  })
})

test('made-up pages of a display make no variants: elsewhere than on its own pages they are left out', async () => {
  await makeLive(services, shop, mara, KEY)
  const live = await loadLiveDisplays(services.db)
  const answers = displayVariants(services, live)
  const plain = await answers(KEY, '.json', new URLSearchParams())
  for (const page of ['2', '77', '500', '9999', '-1', 'x'])
    expect(await answers(KEY, '.json', new URLSearchParams({ page }))).toBe(plain)
})

test('where a display stands is told by the pages themselves, without what their visitors carry along', async () => {
  await makeLive(services, shop, mara, KEY)
  const hear = buildSeen(services)
  const may = async () => true
  await hear(KEY, 'https://wrenfield.example/hives?visitor=7#top', may)
  await hear(KEY, 'javascript:alert(1)', may)
  await hear('unknown', 'https://wrenfield.example/', may)
  const { seen } = (await editorView(services, shop, KEY))!
  expect(seen).toEqual([{ page: 'https://wrenfield.example/hives', lastAt: '2026-11-25T12:00:00.000Z' }])
})

test('made-up pages never crowd out those of the shop’s own site', async () => {
  await makeLive(services, shop, mara, KEY)
  const hear = buildSeen(services)
  const may = async () => true
  for (let i = 0; i < 60; i++) await hear(KEY, `https://elsewhere${i}.example/`, may)
  await hear(KEY, 'https://shop.wrenfield.example/hives', may)
  for (let i = 60; i < 120; i++) await hear(KEY, `https://elsewhere${i}.example/`, may)
  await hear(KEY, 'https://wrenfield.example/refused', async () => false)
  const { seen } = (await editorView(services, shop, KEY))!
  expect(seen[0]!.page).toBe('https://shop.wrenfield.example/hives')
  expect(seen).toHaveLength(20)
  const rows = await services.db('display_seen').select('page')
  expect(rows).toHaveLength(21)
})

test('a page whose code reserves another height than its display has is told, until it fits again', async () => {
  await makeLive(services, shop, mara, KEY)
  const hear = buildSeen(services)
  const page = 'https://wrenfield.example/hives'
  const tell = async (report: string, address = page) => {
    clock.now = new Date(clock.now.getTime() + 60_000)
    await hear(KEY, `${address}\n${report}`, async () => true)
  }
  await tell('12')
  for (const report of ['-90', '310', '310', 'x', '1e9', '']) await tell(report)
  await tell('310', 'https://elsewhere.example/')
  expect(await outdatedPages(services, shop)).toEqual([])
  await tell('-900')
  expect(await outdatedPages(services, shop)).toEqual([{ page, key: KEY }])
  await tell('0')
  expect(await outdatedPages(services, shop)).toEqual([])
})

test('how reviews are handled is told from what is counted and set', async () => {
  await approved({ rating: 4 })
  await approved({ rating: 2, consent: false })
  await send(services, 'wrenfield', { body: 'Wait' })
  await saveDraft(services, shop, KEY, draft({ ratings: [5] }))
  await makeLive(services, shop, mara, KEY)
  const how = (await reviewPolicy(services, 'wrenfield'))!
  expect(how).toMatchObject({ received: 3, approved: 2, undecided: 1, shown: 1 })
  expect(how.averaged).toMatchObject({ count: 1, average: 400 })
  expect(how.selections).toEqual([[{ by: 'ratings', ratings: [5] }]])
  expect(await reviewPolicy(services, 'nobody')).toBeNull()
})

test('the code to paste holds the shop’s name as text', () => {
  const code = embedCode('https://reviews.example', { ...shop, name: 'A & "B" <i>' }, KEY)
  expect(code).toContain('Reviews of A &#38; &#34;B&#34; &#60;i&#62;</a>')
})
