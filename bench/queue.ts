import { asMember } from '../core/moderation/actor'
import { performance } from 'node:perf_hooks'
import { reviewFilterSchema } from '../core/moderation/reviewFilter'
import { plainAct } from '../core/moderation/reviewAct'
import { decide } from '../server/moderation/decide'
import { neighbours, queueView } from '../server/moderation/queue'
import { reviewsToDownload, ROWS_AT_ONCE } from '../server/moderation/reviewsToDownload'
import { readFilter } from '../server/moderation/readFilter'
import { find } from '../server/search/find'
import { filledShop, type FilledShop } from './filledShop'

/**
 * The time of the queue at 10,000 and 100,000 reviews: a page with counts and choices, next and previous,
 * search, and a decision. The smaller is the floor for the larger.
 */
const SIZES = process.argv.slice(2).map(Number)
const [small, large] = SIZES.length === 2 ? SIZES : [10_000, 100_000]
const ROUNDS = 60
const SHOWN = 50

const asked = {
  'lane alone': {},
  rating: { rating: 2 },
  product: { product: 'SKU-3' },
  source: { source: 'manualEntry' },
  language: { language: 'pl' },
  verified: { bought: 'yes' },
  'without text': { words: 'no' },
  'needs a reply': { needsReply: 'yes' },
  'rating and product': { rating: 1, product: 'SKU-7' },
  'rating and verified': { rating: 4, bought: 'yes' },
  'a form': { form: 'clubs' },
  'a large form': { form: 'course' },
  'a rare answer': { answer: 'hives:hundreds' },
  'a common answer': { answer: 'hives:many' },
  'a form and a common word': { form: 'clubs', q: 'honey' },
  'a rare answer and a common word': { answer: 'hives:hundreds', q: 'honey' },
  'a rare answer, lowest first': { answer: 'hives:hundreds', sort: 'lowest' },
  'a rare tag': { tag: 'prize' },
  'a common tag': { tag: 'course' },
  'form and answer': { form: 'course', answer: 'hives:hundreds' },
  date: { from: '2026-03-01', to: '2026-03-07' },
  'lowest first': { sort: 'lowest' },
  'a rare word': { q: 'ovipositor' },
  'a common word': { q: 'honey' },
  'a beginning': { q: 'ho' },
  'two words': { q: 'honey smoker' },
} as const

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

async function measured({ services, shop }: FilledShop): Promise<Map<string, number>> {
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
  const all = await readFilter(services, shop, 'approved', reviewFilterSchema.parse({}))
  const rows = reviewsToDownload(services, shop, all)
  figures.set(`${ROWS_AT_ONCE} rows of a download`, await p95(() => rows.next()))
  const member = { id: 1, name: 'Mara', email: '' }
  for (const typed of [
    'honey',
    'ho',
    'h',
    'ovipositor',
    'honey smoker',
    'writer 77',
    'customer7@',
    'new form',
    'zzz',
  ])
    figures.set(`find: ${typed}`, await p95(() => find(services, { ...shop, role: 'owner' }, typed)))
  let revision = 1
  figures.set(
    'a decision',
    await p95(() =>
      decide(
        services,
        shop,
        asMember(member),
        'r400',
        plainAct(revision % 2 ? 'spam' : 'approve'),
        revision++,
      ),
    ),
  )
  return figures
}

const benches = [await filledShop(small!), await filledShop(large!)]
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
