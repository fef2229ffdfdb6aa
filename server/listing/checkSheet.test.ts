import { beforeEach, describe, expect, test } from 'vitest'
import { guessMatching } from '../../core/listing/sheet/guessMatching'
import type { ColumnUse } from '../../core/listing/matching'
import { plainAct } from '../../core/moderation/reviewAct'
import type { Fault } from '../../standins/listings/faults'
import { answers } from '../../standins/listings/sheets/answers'
import { SITES, sitesFor } from '../../tests/support/listings'
import {
  addMember,
  addShop,
  allShowable,
  drainJobs,
  testServices,
  type TestMember,
} from '../../tests/support/shop'
import { verifyChain } from '../data/decisions'
import { findListing, type Listing } from '../data/listings'
import { laneCounts } from '../data/reviewCounts'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { decide } from '../moderation/decide'
import type { Services } from '../services'
import { actOnListing } from './changeListing'
import { connectListing, type OwnMatching } from './connectListing'
import { matchSheet, sheetView } from './matchSheet'
import { understand } from './understand'

let services: Services
let clock: { now: Date }
let shop: Shop
let mara: TestMember
let outside: ReturnType<typeof sitesFor>
beforeEach(async () => {
  ;({ services, clock } = await testServices())
  outside = sitesFor(clock)
  Object.assign(services, outside.given)
  mara = await addMember(services, 'Mara')
  shop = await addShop(services, 'wrenfield', [mara])
})

const SURVEY = `${SITES}/sheets/tasting-day.csv`
const ROWS = answers.length

/** What the guess makes of a sheet, with some columns used otherwise. */
async function guessed(address: string, uses: Record<string, ColumnUse> = {}): Promise<OwnMatching> {
  const understood = await understand(services, shop, address)
  if (understood.kind !== 'described') throw new Error(understood.kind)
  const { columns, ...guess } = understood.described.business!.sheet!.guess
  return {
    ...guess,
    isDayFirst: guess.isDayFirst ?? true,
    columns: columns.map((column) => ({ ...column, use: uses[column.heading] ?? column.use })),
  }
}

async function connect(address: string, matching: OwnMatching | null): Promise<string> {
  const made = await connectListing(services, shop, {
    origin: 'page',
    kind: 'listing',
    id: address,
    accessKey: '',
    languages: [],
    product: '',
    tag: '',
    arrivesAs: 'approved',
    matching,
    name: 'Tasting afternoon',
  })
  if (made.outcome === 'refused') throw new Error(made.refusal)
  await drainJobs(services)
  return made.listing
}

const listing = async (publicId: string): Promise<Listing> =>
  (await findListing(services.db, shop.id, { publicId }))!
const count = async () => {
  const { approved, held, withdrawn } = await laneCounts(services.db, shop.id)
  return { approved, held, withdrawn }
}
async function pass(minutes: number): Promise<void> {
  const end = clock.now.getTime() + minutes * 60_000
  while (clock.now.getTime() < end) {
    clock.now = new Date(Math.min(end, clock.now.getTime() + 60_000))
    await drainJobs(services)
  }
}
const on = (fault: Fault) => outside.sites.faultsOf('sheets').add(fault)
const off = () => outside.sites.faultsOf('sheets').clear()
const newest = async () =>
  (await allShowable(services, shop)).find(({ authorName }) => authorName === 'Marit O.')!

describe('a sheet', () => {
  test('comes in with what its owner chose; nothing private is stored anywhere', async () => {
    const id = await connect(SURVEY, await guessed(SURVEY, { 'How did you hear of us?': 'private' }))
    expect(await count()).toEqual({ approved: ROWS, held: 0, withdrawn: 0 })
    expect(await newest()).toMatchObject({
      rating: 500,
      body: 'Holding a full frame for the first time. It is so heavy, and so warm on one side.',
      answers: [
        { label: 'Which honey did you like best?', value: 'Lime blossom' },
        { label: 'Would you come again?', value: 'Yes' },
      ],
      writtenPrecision: 'day',
      posted: { origin: 'page', claimsVerified: false },
    })
    expect(await listing(id)).toMatchObject({ name: 'Tasting afternoon', average: null, count: ROWS })
    const tables: { name: string }[] = await services
      .db('sqlite_master')
      .where({ type: 'table' })
      .select('name')
    for (const { name } of tables) {
      const stored = JSON.stringify(await services.db(name).select())
      for (const secret of ['post.example', 'Oostrum', 'The board outside'])
        expect(stored, name).not.toContain(secret)
    }
    expect(await verifyChain(services.db, shop.id)).toMatchObject({ holds: true })
  })

  test('is asked for every five minutes, and compared only when it says something else', async () => {
    await connect(SURVEY, await guessed(SURVEY))
    outside.asked.length = 0
    await pass(60)
    expect(outside.asked.length).toBeGreaterThanOrEqual(9)
    expect(outside.asked.length).toBeLessThanOrEqual(14)
    expect(await count()).toMatchObject({ approved: ROWS, withdrawn: 0 })
  })

  test('brings new rows, corrected ones and their removal within minutes, each once', async () => {
    await connect(SURVEY, await guessed(SURVEY))
    on('added')
    on('changed')
    await pass(6)
    expect(await count()).toMatchObject({ approved: ROWS + 1, withdrawn: 0 })
    expect((await newest()).body).toMatch(/smell of the wax/)
    off()
    on('withdrawn')
    await pass(6)
    expect(await count()).toMatchObject({ approved: ROWS + 1, withdrawn: 0 })
    await pass(6)
    expect(await count()).toMatchObject({ approved: ROWS - 1, withdrawn: 2 })
    off()
    await pass(6)
    expect(await count()).toMatchObject({ approved: ROWS, withdrawn: 1 })
  })

  test('keeps what its owner decided of a row', async () => {
    await connect(SURVEY, await guessed(SURVEY))
    const { publicId } = await newest()
    const { revision } = (await findReview(services.db, shop.id, { publicId }))!
    await decide(services, shop, mara, publicId, plainAct('decline'), revision)
    on('changed')
    await pass(15)
    expect((await findReview(services.db, shop.id, { publicId }))!.state).toBe('waiting')
    expect(await count()).toMatchObject({ approved: ROWS - 1, withdrawn: 0 })
  })

  test.each<[Fault, string]>([
    ['signedOut', 'signedOut'],
    ['broken', 'broken'],
    ['nonsense', 'unreadable'],
    ['half', 'unreadable'],
    ['huge', 'tooLarge'],
    ['redirect', 'private'],
    ['tooMany', 'tooMany'],
    ['emptied', 'fewer'],
    ['renamed', 'columns'],
  ])('that answers with %s for a day loses nothing, and says so', async (fault, refusal) => {
    const id = await connect(SURVEY, await guessed(SURVEY))
    on(fault)
    await pass(24 * 60)
    expect(await listing(id)).toMatchObject({ refusal })
    expect(await count()).toMatchObject({ approved: ROWS, withdrawn: 0 })
    off()
    await actOnListing(services, shop, mara, id, 'check')
    await drainJobs(services)
    expect(await listing(id)).toMatchObject({ refusal: null })
    expect(await count()).toMatchObject({ approved: ROWS, withdrawn: 0 })
  })

  test('whose column has another heading is matched anew, and its rows stay the same reviews', async () => {
    const id = await connect(SURVEY, await guessed(SURVEY))
    const before = (await allShowable(services, shop)).map(({ publicId }) => publicId).toSorted()
    on('renamed')
    await pass(6)
    const view = (await sheetView(services, shop, id))!
    if (!('sheet' in view)) throw new Error(view.refusal)
    expect(view.sheet.headings).toContain('What stayed with you?')
    const { columns, ...others } = view.matching
    await matchSheet(services, shop, id, {
      ...others,
      columns: columns.map((column) =>
        column.use === 'words' ? { ...column, heading: 'What stayed with you?' } : column,
      ),
    })
    await drainJobs(services)
    expect(await listing(id)).toMatchObject({ refusal: null, state: 'active' })
    expect((await allShowable(services, shop)).map(({ publicId }) => publicId).toSorted()).toEqual(before)
  })

  test('matched with another question shows it under its label, and one made private disappears', async () => {
    const id = await connect(SURVEY, await guessed(SURVEY))
    const { columns, ...others } = (await listing(id)).matching!
    await matchSheet(services, shop, id, {
      ...others,
      columns: columns.map((column) =>
        column.heading === 'Would you come again?'
          ? { ...column, use: 'private' }
          : column.heading === 'Which honey did you like best?'
            ? { ...column, label: 'Favourite honey' }
            : column,
      ),
    })
    await drainJobs(services)
    expect((await newest()).answers).toEqual([
      { label: 'Favourite honey', value: 'Lime blossom' },
      { label: 'How did you hear of us?', value: 'A friend brought me' },
    ])
    expect(await count()).toMatchObject({ approved: ROWS, withdrawn: 0 })
  })

  test('whose answers hold a phone number is held back for it, like any words', async () => {
    const table = {
      headings: ['Name', 'What we should know'],
      rows: [['Ida', 'Call me on 0117 496 0001 about the lid.']],
    }
    const csv = [table.headings, ...table.rows]
      .map((cells) => cells.map((cell) => `"${cell}"`).join(','))
      .join('\n')
    Object.assign(services, {
      fetchOutside: async () => ({
        status: 200,
        retryAfter: null,
        url: SURVEY,
        contentType: 'text/csv',
        body: Buffer.from(csv),
      }),
    })
    const { columns, ...guess } = guessMatching(table)
    const matching = {
      ...guess,
      isDayFirst: true,
      columns: columns.map((one) => (one.heading === 'Name' ? one : { ...one, use: 'answer' as const })),
    }
    await connect(SURVEY, matching)
    expect(await count()).toMatchObject({ approved: 0, held: 1 })
  })

  test('is connected once, and cannot be connected before its columns are matched', async () => {
    const id = await connect(SURVEY, await guessed(SURVEY))
    expect(await connect(SURVEY, await guessed(SURVEY))).toBe(id)
    expect(await connect(`${SURVEY}#row=3`, await guessed(SURVEY))).toBe(id)
    await expect(connect(`${SITES}/sheets/tasting-day`, null)).rejects.toThrow('columns')
  })
})

test('the same answers as a table in a page are the same number of reviews', async () => {
  const address = `${SITES}/sheets/tasting-day`
  await connect(address, await guessed(address))
  expect(await count()).toMatchObject({ approved: ROWS })
})

test('a page with marked-up reviews needs no columns; its numbers are its own', async () => {
  const id = await connect(`${SITES}/sheets/guestbook`, null)
  expect(await count()).toMatchObject({ approved: 2 })
  expect(await listing(id)).toMatchObject({ average: 4.6, count: 31, matching: null })
  await pass(30)
  expect(await listing(id)).toMatchObject({ refusal: null })
})
