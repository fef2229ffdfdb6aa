import { beforeEach, describe, expect, test } from 'vitest'
import { plainAct } from '../../core/moderation/reviewAct'
import { sitesFor } from '../../tests/support/listings'
import {
  addMember,
  addShop,
  allShowable,
  drainJobs,
  send,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import type { Fault } from '../../standins/listings/faults'
import { ACCESS_KEY } from '../../standins/listings/barrowmere/site'
import type { SiteName } from '../../standins/listings/listingSites'
import { cleanUp } from '../cleanUp/cleanUp'
import { verifyChain } from '../data/decisions'
import { findListing, type Listing } from '../data/listings'
import { findReview } from '../data/reviewReading'
import { laneCounts } from '../data/reviewCounts'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import { renderDisplay } from '../../onsite/render'
import { jsonLdOf } from '../../core/display/jsonLd'
import { configured } from '../../tests/support/display'
import { composer } from '../publishing/compose'
import { readPublishable } from '../publishing/publishable'
import type { Services } from '../services'
import { actOnListing, renewAccessKey } from './changeListing'
import { listingsView } from './listingViews'
import { connectListing, type NewConnection } from './connectListing'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let outside: ReturnType<typeof sitesFor>
beforeEach(async () => {
  const made = await testServices()
  ;({ services, clock } = made)
  outside = sitesFor(clock)
  Object.assign(services, outside.given)
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const usual: NewConnection = {
  origin: 'lanternway',
  kind: 'listing',
  id: 'LW7Q4K2M9A',
  accessKey: '',
  languages: [],
  product: '',
  tag: '',
  arrivesAs: 'approved',
}
async function connect(more: Partial<NewConnection> = {}): Promise<string> {
  const made = await connectListing(services, shop, { ...usual, ...more })
  if (made.outcome === 'refused') throw new Error(made.refusal)
  await drainJobs(services)
  return made.listing
}
const barrowmere = { origin: 'barrowmere', id: '48213', accessKey: ACCESS_KEY }
const listing = async (publicId: string): Promise<Listing> =>
  (await findListing(services.db, shop.id, { publicId }))!
const count = async () => {
  const { approved, held, waiting, withdrawn } = await laneCounts(services.db, shop.id)
  return { approved, held, waiting, withdrawn }
}
const all = async () => Object.values(await count()).reduce((sum, one) => sum + one, 0)
async function pass(hours: number): Promise<void> {
  const end = clock.now.getTime() + hours * 3_600_000
  while (clock.now.getTime() < end) {
    clock.now = new Date(Math.min(end, clock.now.getTime() + 1_200_000))
    await drainJobs(services)
  }
}
const on = (fault: Fault, site: SiteName = 'lanternway') => outside.sites.faultsOf(site).add(fault)
const off = (site: SiteName = 'lanternway') => outside.sites.faultsOf(site).clear()

test('the first read brings every review once, with its origin, and what the site says of the business', async () => {
  const id = await connect()
  expect(await all()).toBe(122)
  expect(await listing(id)).toMatchObject({
    name: 'Wrenfield Bee Supply',
    street: "Tanner's Row 4",
    average: 4.7,
    count: 122,
    refusal: null,
    found: { stored: 122, changed: 0, withdrawn: 0 },
  })
  const shown = await allShowable(services, shop)
  expect(shown.find(({ authorName }) => authorName === 'Orla Tennant')).toMatchObject({
    rating: 500,
    listing: id,
    source: 'listing',
    posted: { origin: 'lanternway', claimsVerified: false },
    seenUrl: expect.stringContaining('/lanternway/review/') as string,
  })
  expect(shown.filter(({ portrait }) => portrait !== null).length).toBeGreaterThan(20)
  await pass(24)
  expect(await all()).toBe(122)
  expect(await verifyChain(services.db, shop.id)).toMatchObject({ holds: true })
})

test('the own average never changes; the number of the site is stated as it is, with 20 of 122 handed over', async () => {
  const { publicId } = await send(services, 'wrenfield', { rating: 3 })
  const { revision } = (await findReview(services.db, shop.id, { publicId }))!
  await decide(services, shop, mara, publicId, plainAct('approve'), revision)
  const totals = async () => (await readPublishable(services.db, shop)).totals(null)
  const { tally } = await totals()
  expect(tally).toMatchObject({ average: 300, count: 1 })
  const id = await connect({ languages: ['de'] })
  expect((await totals()).tally).toEqual(tally)
  expect((await totals()).byListing[id]).toBeLessThan(40)
  const { compose } = await composer(services, shop)
  const { model } = await compose(configured({ selection: { listings: [id] } }), { key: 'x' })
  expect(renderDisplay(model).html).toMatch(/4\.7 from 122 reviews on Lanternway/)
  expect(jsonLdOf({ ...model, product: { sku: 'HK-1', title: 'Hive kit' } }, 'https://x.example')).not.toHaveProperty('review') // oxfmt-ignore
})

test('words on a listing are checked like any others; photos and proof are not', async () => {
  on('scripts')
  await connect()
  const { held, approved } = await count()
  expect(held + approved).toBe(122)
  expect(approved).toBeGreaterThan(110)
})

describe('what changes at the origin', () => {
  test('a new, a changed and a moved review are noticed by the next check', async () => {
    const first = await connect()
    const second = await connect({ id: 'LW3S8T5B1C' })
    on('changed')
    on('added')
    await pass(1)
    expect(await listing(first)).toMatchObject({ count: 123 })
    const shown = await allShowable(services, shop)
    expect(shown.map(({ authorName }) => authorName)).toContain('Primrose Hale')
    expect(shown.find(({ authorName }) => authorName === 'Orla Tennant')!.body).toContain('a week later')
    off()
    on('moved')
    await pass(26)
    const moved = (await allShowable(services, shop)).find(({ authorName }) => authorName === 'Orla Tennant')
    expect(moved?.listing).toBe(second)
  })

  test('a withdrawn review leaves after two complete reads, and comes back with its origin', async () => {
    await connect()
    on('withdrawn')
    await pass(0.6)
    expect((await count()).withdrawn).toBe(0)
    await pass(1)
    expect((await count()).withdrawn).toBe(1)
    off()
    await pass(14)
    expect((await count()).withdrawn).toBe(0)
  })

  test('what the shop has declined is not shown because its origin changed it', async () => {
    await connect()
    const [newest] = await allShowable(services, shop)
    const { revision } = (await findReview(services.db, shop.id, { publicId: newest!.publicId }))!
    await decide(services, shop, mara, newest!.publicId, plainAct('decline'), revision)
    expect((await allShowable(services, shop)).length).toBe((await count()).approved)
    on('changed')
    await pass(1)
    expect((await count()).waiting).toBe(1)
  })
})

test('a simulated week of misbehaviour loses nothing, doubles nothing, and says each state', async () => {
  const lanternway = await connect()
  const market = await connect(barrowmere)
  const before = await all()
  const shownBefore = (await allShowable(services, shop)).length
  const said: Partial<Record<Fault, string | null>> = {}
  const faults: Fault[] = ['slow', 'tooMany', 'tooManyWait', 'broken', 'signedOut', 'nonsense', 'half', 'layout', 'endless', 'emptied', 'redirect', 'huge', 'noStreet', 'twin', 'longName', 'comma', 'rightToLeft', 'renamed', 'closed'] // oxfmt-ignore
  for (const fault of faults) {
    on(fault)
    on(fault, 'barrowmere')
    await pass(4)
    said[fault] = (await listing(lanternway)).refusal
    expect((await allShowable(services, shop)).length).toBe(shownBefore)
    off()
    off('barrowmere')
    await pass(4.8)
    await actOnListing(services, shop, mara, lanternway, 'check')
    await actOnListing(services, shop, mara, market, 'check')
    await drainJobs(services)
    expect([fault, (await listing(lanternway)).refusal]).toEqual([fault, null])
    expect([fault, (await listing(market)).refusal]).toEqual([fault, null])
  }
  expect(said).toEqual({
    slow: 'slow',
    tooMany: 'tooMany',
    tooManyWait: 'tooMany',
    broken: 'broken',
    signedOut: 'signedOut',
    nonsense: 'unreadable',
    half: 'unreadable',
    layout: 'unreadable',
    endless: null,
    emptied: 'fewer',
    redirect: 'private',
    huge: 'tooLarge',
    noStreet: null,
    twin: null,
    longName: null,
    comma: null,
    rightToLeft: null,
    renamed: null,
    closed: 'closed',
  })
  expect(await all()).toBe(before)
  expect((await count()).withdrawn).toBe(0)
  expect(await verifyChain(services.db, shop.id)).toMatchObject({ holds: true })
}, 120_000)

test('no site gets more calls than it allows', async () => {
  await connect(barrowmere)
  const times: number[] = []
  const { fetchOutside } = services
  services.fetchOutside = (address, limits) => {
    if (address.includes('/api/')) times.push(clock.now.getTime())
    return fetchOutside(address, limits)
  }
  for (let i = 0; i < 150; i++) {
    await connectListing(services, shop, { ...usual, ...barrowmere, id: '48777' })
    clock.now = new Date(clock.now.getTime() + 900)
  }
  for (const at of times)
    expect(times.filter((one) => one >= at && one < at + 60_000).length).toBeLessThan(31)
  expect(times.length).toBeGreaterThan(55)
})

describe('an access key', () => {
  test('is asked for, refused in the words of the site, stored encrypted, and renewed', async () => {
    expect(await connectListing(services, shop, { ...usual, ...barrowmere, accessKey: '' })).toEqual({
      outcome: 'refused',
      refusal: 'keyMissing',
    })
    expect(await connectListing(services, shop, { ...usual, ...barrowmere, accessKey: 'bw-wrong' })).toEqual({
      outcome: 'refused',
      refusal: 'keyRefused',
    })
    const id = await connect(barrowmere)
    expect(JSON.stringify(await listing(id))).not.toContain(ACCESS_KEY)
    on('keyWithdrawn', 'barrowmere')
    await pass(1)
    expect(await listing(id)).toMatchObject({ refusal: 'keyRefused', nextCheckAt: null })
    const calls = outside.asked.length
    await pass(8)
    expect(outside.asked.length).toBe(calls)
    expect(await renewAccessKey(services, shop, id, 'bw-other')).toBe('keyRefused')
    off('barrowmere')
    expect(await renewAccessKey(services, shop, id, ACCESS_KEY)).toBe(null)
    await drainJobs(services)
    expect(await listing(id)).toMatchObject({ refusal: null, state: 'active' })
  })
})

test('a site that hands out the newest 50 of 80 is never believed to have withdrawn the others', async () => {
  const id = await connect(barrowmere)
  expect(await listing(id)).toMatchObject({ count: 80, found: { stored: 50 } })
  on('added', 'barrowmere')
  await pass(30)
  expect(await all()).toBe(51)
  expect((await count()).withdrawn).toBe(0)
})

test('disconnecting keeps or removes its reviews, and both can be undone', async () => {
  const id = await connect()
  await actOnListing(services, shop, mara, id, 'disconnectAndRemove')
  await drainJobs(services)
  expect(await all()).toBe(0)
  await actOnListing(services, shop, mara, id, 'reconnect')
  await drainJobs(services)
  expect(await all()).toBe(122)
  await actOnListing(services, shop, mara, id, 'disconnect')
  await pass(5)
  expect(await all()).toBe(122)
  expect(await listingsView(services, shop)).toMatchObject([{ publicId: id, state: 'disconnected' }])
  // Connected anew, it is the same reviews.
  const again = await connect()
  expect(again).not.toBe(id)
  expect(await all()).toBe(122)
  expect(await listingsView(services, shop)).toMatchObject([{ publicId: again, state: 'active' }])
  expect(await actOnListing(services, shop, mara, id, 'reconnect')).toBe(false)
})

test('after a month, portraits of removed reviews are deleted', async () => {
  const id = await connect()
  const portraits = async () =>
    (await services.db('review_version').whereNotNull('portrait').pluck('portrait')).length
  expect(await portraits()).toBeGreaterThan(20)
  await actOnListing(services, shop, mara, id, 'disconnectAndRemove')
  await drainJobs(services)
  clock.now = new Date(clock.now.getTime() + 29 * 86_400_000)
  await cleanUp(services)
  expect(await portraits()).toBeGreaterThan(20)
  clock.now = new Date(clock.now.getTime() + 2 * 86_400_000)
  await cleanUp(services)
  expect(await portraits()).toBe(0)
})

test('one post is brought in by its address, and gone after its origin has removed it', async () => {
  const [post] = (
    JSON.parse(
      String(outside.sites.answer({ method: 'GET', path: '/brindlepost/@wrenfieldbees/mentions.json', query: new URLSearchParams(), headers: {} })!.reply.body), // oxfmt-ignore
    ) as { posts: { id: string }[] }
  ).posts
  await connect({ origin: 'brindlepost', kind: 'post', id: post!.id })
  const [shown] = await allShowable(services, shop)
  expect(shown).toMatchObject({ rating: null, posted: { origin: 'brindlepost', likes: 41 } })
  on('withdrawn', 'brindlepost')
  await pass(2)
  expect(await count()).toMatchObject({ approved: 0, withdrawn: 1 })
})

test('only chosen languages, with a product and a tag for all', async () => {
  await connect({ languages: ['de'], tag: 'map', product: 'HK-1' })
  const shown = await allShowable(services, shop)
  expect(shown.length).toBeGreaterThan(12)
  expect(new Set(shown.map(({ language }) => language))).toEqual(new Set(['de', null]))
  expect(shown.every(({ tags }) => tags.includes('map'))).toBe(true)
})
