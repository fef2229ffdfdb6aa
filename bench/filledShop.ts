import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { openDatabase } from '../server/data/database'
import { startingDesign } from '../core/form/startingDesign'
import { findForm, insertForm } from '../server/data/forms'
import { insertStored } from '../server/data/rows'
import { insertMember } from '../server/data/members'
import { indexInserted } from '../server/data/reviewIndexes'
import { fewThings, type Amounts } from './amounts'
import { fillThings } from './fillThings'
import { findShop, insertMembership, insertShop, type Shop } from '../server/data/shops'
import { tagsNamed } from '../server/data/tags'
import { Turns } from '../server/data/turns'
import { buildServices, type Services } from '../server/services'

const words =
  'honey smoker frame hive brood queen comb veil glove feed spring winter sturdy late split square gentle heavy jar wax lid box kind slow quick fits broke again thank sorry never always'.split(
    ' ',
  )

export interface FilledShop {
  folder: string
  /** For threads that write to it. */
  turns: Turns
  services: Services
  shop: Shop
  close: () => Promise<void>
}

/** A shop with made-up reviews in a database file; the same in each run. */
export async function filledShop(size: number, more: Partial<Amounts> = {}): Promise<FilledShop> {
  const amounts = { ...fewThings, ...more }
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-bench-'))
  const turns = new Turns()
  const db = await openDatabase(path.join(folder, 'elogio.db'), turns)
  const services = buildServices({
    db,
    signingKey: Buffer.from('a key'),
    publicUrl: 'http://localhost',
    mediaFolder: path.join(folder, 'media'),
  })
  const shopId = await insertShop(
    db,
    {
      publicId: services.newId(),
      slug: 'bench',
      name: 'Bench',
      shortName: 'Bench',
      ownDomains: [],
      brand: '#e9b949',
      logo: null,
      locale: 'en-GB',
      timeZone: 'Europe/London',
      siteUrl: '',
      description: '',
      background: '#ffffff',
      textColour: '#000000',
      fonts: '',
      corners: 8,
      replyName: 'Bench',
      languages: ['en'],
      customerLanguages: ['en'],
    },
    '2026-01-01T00:00:00.000Z',
  )
  const memberId = await insertMember(db, {
    publicId: services.newId(),
    name: 'Mara',
    email: 'mara@bench.example',
    passwordHash: '',
    createdAt: '2026-01-01T00:00:00.000Z',
  })
  await insertMembership(db, memberId, shopId)
  const slugs = ['bench', 'clubs', 'course']
  for (const slug of slugs)
    await insertForm(db, {
      shopId,
      publicId: slug,
      slug,
      name: slug,
      writers: 'anyone',
      design: startingDesign,
      now: '',
    })
  const forms: Record<string, number> = Object.fromEntries(
    await Promise.all(slugs.map(async (slug) => [slug, (await findForm(db, shopId, slug))!.id] as const)),
  )
  const tagIds: Record<string, number> = await db.transaction(async (trx) => ({
    prize: (await tagsNamed(trx, shopId, ['prize']))[0]!,
    course: (await tagsNamed(trx, shopId, ['course']))[0]!,
  }))
  await db.transaction((trx) =>
    insertStored(
      trx,
      'tag',
      Array.from({ length: amounts.tags }, (_, i) => ({ id: i + 1000, shop_id: shopId, name: `tag ${i}` })),
    ),
  )
  for (let i = 0; i < amounts.tags; i++) tagIds[`tag ${i}`] = i + 1000
  await fillThings(services, shopId, amounts)
  let seed = 7
  const chance = (below: number) => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
    return Math.floor((seed / 2_147_483_648) * below)
  }
  /** Few come through the form for clubs, a third through that of the course. */
  const formOf = (i: number) => (i % 500 === 7 ? 'clubs' : i % 3 === 0 ? 'course' : 'bench')
  const answerOf = (i: number) =>
    i % Math.ceil(size / 40) === 0 ? 'hundreds' : ['none', 'a few', 'many'][(i % 7) % 3]!

  const tagsOf = (i: number) => [
    ...(i % 700 === 5 ? ['prize'] : []),
    ...(i % 4 === 0 ? ['course'] : []),
    ...(amounts.tags > 0 && i % 3 === 0 ? [`tag ${i % amounts.tags}`] : []),
  ]

  const year = Date.parse('2026-01-01T00:00:00Z')
  const CHUNK = 500
  for (let start = 0; start < size; start += CHUNK) {
    const numbers = Array.from({ length: Math.min(CHUNK, size - start) }, (_, at) => start + at)
    const rows = numbers.map(reviewAndVersion)
    await db.transaction(async (trx) => {
      await insertStored(trx, 'review', rows.map(({ review }) => review)) // oxfmt-ignore
      await insertStored(trx, 'review_version', rows.map(({ version }) => version)) // oxfmt-ignore
      await insertStored(trx, 'review_answer', rows.flatMap(({ answers }) => answers)) // oxfmt-ignore
      await insertStored(trx, 'review_tag', rows.flatMap(({ tags }) => tags)) // oxfmt-ignore
      await indexInserted(trx, { from: start + 1, to: start + rows.length })
    })
  }

  /** A review and its version have the same id. */
  function reviewAndVersion(i: number) {
    const rating = [500, 500, 500, 400, 400, 300, 200, 100][chance(8)]!
    const hasText = chance(10) > 0
    const body = hasText
      ? Array.from(
          { length: 12 + chance(30) },
          () => words[Math.floor(chance(words.length * chance(4)) / 3)]!,
        ).join(' ') + (i % Math.ceil(size / 40) === 0 ? ' ovipositor' : '')
      : ''
    const at = new Date(year + (i / size) * 330 * 86_400_000).toISOString()
    const language = ['en', 'en', 'en', 'de', 'de', 'fr', 'es', chance(50) === 0 ? 'pl' : 'en'][chance(8)]!
    const state = i % 20 === 0 ? 'held' : i % 50 === 1 ? 'waiting' : chance(20) === 0 ? 'spam' : 'approved'
    const review = {
      id: i + 1,
      shop_id: shopId,
      public_id: `r${i}`,
      source: chance(30) === 0 ? 'manualEntry' : 'form',
      form_id: forms[formOf(i)]!,
      customer_id: amounts.customers > 0 ? (i % amounts.customers) + 1 : null,
      product_id: chance(amounts.products + 1) || null,
      state,
      current_version_id: i + 1,
      published_version_id: state === 'approved' ? i + 1 : null,
      arrival_state: 'waiting',
      rating,
      showable: true,
      verified: chance(3) > 0,
      score: chance(40),
      received_at: at,
      written_at: at,
      written_precision: 'moment',
      language,
      has_text: hasText,
    }
    const version = {
      id: i + 1,
      shop_id: shopId,
      review_id: i + 1,
      number: 1,
      title: '',
      body,
      author_name: `Writer ${i}`,
      rating,
      language,
      consent_text: '',
      consent_answer: 'given',
      salt: 's',
      created_at: at,
      written_at: at,
      written_precision: 'moment',
    }
    const answers =
      formOf(i) === 'bench'
        ? []
        : [{ question: 'hives', value: answerOf(i), shop_id: shopId, review_id: i + 1 }]
    const tags = tagsOf(i).map((name) => ({ shop_id: shopId, tag_id: tagIds[name]!, review_id: i + 1 }))
    return { review, version, answers, tags }
  }

  return {
    folder,
    turns,
    services,
    shop: await findShop(db, shopId),
    close: async () => {
      await db.destroy()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
