import { performance } from 'node:perf_hooks'
import { asMember } from '../core/moderation/actor'
import { insertIntake } from '../server/data/intakes'
import { takeIn } from '../server/collection/takeIn'
import { inlineWorkers } from '../server/workers/inline'
import type { Services } from '../server/services'
import { filledShop } from './filledShop'
import { generated } from './generated'

/**
 * Receiving reviews from a generator, beside plain inserts of as many rows with the same indexes, counters and
 * full-text index.
 */
const SIZE = Number(process.argv[2] ?? 100_000)

const start = performance.now()
const floor = await filledShop(SIZE)
const plainMs = performance.now() - start
await floor.close()

const { services, shop, close } = await filledShop(0)
services.workers = inlineWorkers((): Services => services)
const member = (await services.db('member').first<{ id: number }>('id'))!
const intake = await insertIntake(services.db, {
  shopId: shop.id,
  publicId: services.newId(),
  source: 'manualEntry',
  origin: 'generator',
  memberId: member.id,
  createdAt: services.now().toISOString(),
})

let peak = 0
const transactions: number[] = []
let last = performance.now()
const began = performance.now()
await takeIn(
  services,
  shop,
  { intake, actor: asMember(member), candidates: generated(SIZE) },
  {
    isStopped: () => false,
    progress: () => {
      transactions.push(performance.now() - last)
      peak = Math.max(peak, process.memoryUsage().rss)
    },
    giveWay: () => (last = performance.now()),
  },
)
const took = performance.now() - began
const rate = (ms: number) => Math.round(SIZE / (ms / 1000)).toLocaleString('en')
const sorted = transactions.toSorted((a, b) => a - b)
console.log(
  `${SIZE.toLocaleString('en')} reviews received: ${(took / 1000).toFixed(1)} s, ${rate(took)} a second`,
)
console.log(
  `plain inserts with the same indexes: ${(plainMs / 1000).toFixed(1)} s, ${rate(plainMs)} a second; ratio ${(took / plainMs).toFixed(1)}`,
)
console.log(
  `chunks: ${sorted.length}, median ${sorted[sorted.length >> 1]!.toFixed(1)} ms, longest ${sorted.at(-1)!.toFixed(1)} ms; memory at most ${Math.round(peak / 1e6)} MB`,
)
await close()
