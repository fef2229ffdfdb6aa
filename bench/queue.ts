import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { performance } from 'node:perf_hooks'
import { reviewFilterSchema } from '../core/moderation/reviewFilter'
import { openDatabase } from '../server/data/database'
import { insertMembership, insertShop, type Shop, findShop } from '../server/data/shops'
import { insertMember } from '../server/data/members'
import { plainAct } from '../core/moderation/reviewAct'
import { decide } from '../server/moderation/decide'
import { neighbours, queueView } from '../server/moderation/queue'
import { readFilter } from '../server/moderation/readFilter'
import { buildServices, type Services } from '../server/services'

/**
 * What the queue costs at 10,000 and at 100,000 reviews: a page of the list with counts and choices, next and previous,
 * search, and an act. The smaller one is the floor for the larger in the same run.
 */
const SIZES = process.argv.slice(2).map(Number)
const [small, large] = SIZES.length === 2 ? SIZES : [10_000, 100_000]
const ROUNDS = 60
const SHOWN = 50

const asked = {
  'lane alone': {},
  rating: { rating: 2 },
  product: { product: 'SKU-3' },
  'way in': { source: 'manualEntry' },
  language: { language: 'pl' },
  verified: { bought: 'yes' },
  'with words': { words: 'no' },
  'owed a reply': { owed: 'yes' },
  'rating and product': { rating: 1, product: 'SKU-7' },
  'rating and verified': { rating: 4, bought: 'yes' },
  date: { from: '2026-03-01', to: '2026-03-07' },
  'lowest first': { sort: 'lowest' },
  'a rare word': { q: 'ovipositor' },
  'a common word': { q: 'honey' },
  'a beginning': { q: 'ho' },
  'two words': { q: 'honey smoker' },
} as const

const words =
  'honey smoker frame hive brood queen comb veil glove feed spring winter sturdy late split square gentle heavy jar wax lid box kind slow quick fits broke again thank sorry never always'.split(
    ' ',
  )

interface Bench {
  services: Services
  shop: Shop
  close: () => Promise<void>
}

async function filled(size: number): Promise<Bench> {
  const folder = mkdtempSync(path.join(tmpdir(), 'elogio-bench-'))
  const db = await openDatabase(path.join(folder, 'elogio.db'))
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
      ground: '#ffffff',
      ink: '#000000',
      fonts: '',
      corners: 8,
      replyName: 'Bench',
      languages: ['en'],
    },
    '2026-01-01T00:00:00.000Z',
  )
  const memberId = await insertMember(db, {
    publicId: services.newId(),
    name: 'Mara',
    email: 'mara@bench.example',
    passwordHash: '',
    now: '2026-01-01T00:00:00.000Z',
  })
  await insertMembership(db, memberId, shopId)
  for (let i = 1; i <= 18; i++)
    await db('product').insert({
      shop_id: shopId,
      public_id: `p${i}`,
      sku: `SKU-${i}`,
      title: `Product ${i}`,
    })
  let seed = 7
  const chance = (below: number) => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
    return Math.floor((seed / 2_147_483_648) * below)
  }
  const year = Date.parse('2026-01-01T00:00:00Z')
  const CHUNK = 500
  for (let start = 0; start < size; start += CHUNK) {
    await db.transaction(async (trx) => {
      for (let i = start; i < Math.min(size, start + CHUNK); i++) {
        const rating = [500, 500, 500, 400, 400, 300, 200, 100][chance(8)]!
        const worded = chance(10) > 0
        const body = worded
          ? Array.from(
              { length: 12 + chance(30) },
              () => words[Math.floor(chance(words.length * chance(4)) / 3)]!,
            ).join(' ') + (i % Math.ceil(size / 40) === 0 ? ' ovipositor' : '')
          : ''
        const at = new Date(year + (i / size) * 330 * 86_400_000).toISOString()
        const language = ['en', 'en', 'en', 'de', 'de', 'fr', 'es', chance(50) === 0 ? 'pl' : 'en'][
          chance(8)
        ]!
        const state =
          i % 20 === 0 ? 'held' : i % 50 === 1 ? 'waiting' : chance(20) === 0 ? 'spam' : 'approved'
        const [id] = await trx('review').insert({
          shop_id: shopId,
          public_id: `r${i}`,
          source: chance(30) === 0 ? 'manualEntry' : 'form',
          product_id: chance(19) || null,
          state,
          arrival_state: 'waiting',
          rating,
          showable: true,
          verified: chance(3) > 0,
          score: chance(40),
          received_at: at,
          written_at: at,
          written_precision: 'moment',
          language,
          worded,
        })
        const [versionId] = await trx('review_version').insert({
          shop_id: shopId,
          review_id: id,
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
        })
        await trx('review').where({ id }).update({ current_version_id: versionId })
      }
    })
  }
  return {
    services,
    shop: await findShop(db, shopId),
    close: async () => {
      await db.destroy()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

async function p95(work: () => Promise<unknown>): Promise<number> {
  for (let i = 0; i < 5; i++) await work()
  const times: number[] = []
  for (let i = 0; i < ROUNDS; i++) {
    const start = performance.now()
    await work()
    times.push(performance.now() - start)
  }
  return times.toSorted((a, b) => a - b)[Math.floor(ROUNDS * 0.95)]!
}

async function measured({ services, shop }: Bench): Promise<Map<string, number>> {
  const figures = new Map<string, number>()
  for (const lane of ['approved', 'held'] as const)
    for (const [name, filter] of Object.entries(asked)) {
      const read = await readFilter(services, shop, lane, reviewFilterSchema.parse(filter))
      figures.set(`${lane}, ${name}`, await p95(() => queueView(services, shop, read, SHOWN)))
      if (name === 'lane alone' || name === 'rating and product' || name === 'a common word') {
        const { lines } = await queueView(services, shop, read, SHOWN)
        const middle = lines[Math.floor(lines.length / 2)]
        if (middle)
          figures.set(
            `${lane}, ${name}: next and previous`,
            await p95(() => neighbours(services, shop, read, middle.id)),
          )
      }
    }
  const member = { id: 1, name: 'Mara', email: '' }
  let revision = 1
  figures.set(
    'an act',
    await p95(() =>
      decide(services, shop, member, 'r400', plainAct(revision % 2 ? 'spam' : 'approve'), revision++),
    ),
  )
  return figures
}

const benches = [await filled(small!), await filled(large!)]
const [floor, ours] = [await measured(benches[0]!), await measured(benches[1]!)]
console.log(`p95 in ms at ${small} and at ${large} reviews, ratio (goal 2)`)
for (const [name, time] of ours) {
  const before = floor.get(name)
  if (before === undefined) continue
  console.log(
    `${name.padEnd(48)} ${before.toFixed(2).padStart(8)} ${time.toFixed(2).padStart(8)} ${(time / before).toFixed(2).padStart(6)}`,
  )
}
for (const bench of benches) await bench.close()
