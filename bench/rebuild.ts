import { asMember } from '../core/moderation/actor'
import path from 'node:path'
import { performance } from 'node:perf_hooks'
import { layouts } from '../core/display/choices'
import { plainAct } from '../core/moderation/reviewAct'
import { reviewFilterSchema } from '../core/moderation/reviewFilter'
import { findDisplay, insertDisplay, putDraftLive } from '../server/data/displays'
import { loadLiveDisplays } from '../server/http/liveDisplays'
import { jobKinds } from '../server/jobKinds'
import { startJobRunner } from '../server/jobs/runner'
import { silentLog } from '../server/log'
import { decide } from '../server/moderation/decide'
import { queueView } from '../server/moderation/queue'
import { readFilter } from '../server/moderation/readFilter'
import { buildThreads } from '../server/workers/threads'
import { configured } from '../tests/support/display'
import { filledShop } from './filledShop'

/**
 * The time of a decision that many displays show, until the last one is stored, and the waiting time of
 * somebody in the queue meanwhile, compared with no rendering. Two displays of ten show the reviews of one form.
 */
const DISPLAYS = 200
const REVIEWS = Number(process.argv[2] ?? 3000)
const ROUNDS = 5
/** A person makes short pauses. */
const BETWEEN_MS = 5

const { folder, turns, services, shop, close } = await filledShop(REVIEWS)
const { db, newId } = services
const now = services.now().toISOString()
const member = (await db('member').first<{ id: number; name: string; email: string }>())!
for (let i = 0; i < DISPLAYS; i++)
  await db.transaction(async (trx) => {
    const key = `display-${i}`
    await insertDisplay(trx, {
      shopId: shop.id,
      publicId: newId(),
      key,
      name: key,
      now,
      configuration: configured({
        title: key,
        selection: {
          limit: 12,
          order: (['newest', 'highest', 'verified'] as const)[i % 3],
          forms: [[], ['clubs'], ['course']][i % 10] ?? [],
        },
        layout: { kind: layouts[i % layouts.length] },
      }),
    })
    await putDraftLive(trx, (await findDisplay(trx, shop.id, { key }))!, member.id, now)
  })

const live = await loadLiveDisplays(db)
const threads = buildThreads({
  databaseFile: path.join(folder, 'elogio.db'),
  mediaFolder: services.mediaFolder,
  publicUrl: services.publicUrl,
  behaviours: {},
  sites: null,
  turns,
  log: silentLog,
  announce: () => undefined,
  wakeJobs: () => undefined,
  published: (display) => live.put(display),
})
services.workers = threads
const jobs = startJobRunner(services, jobKinds(services, live))
const filter = await readFilter(services, shop, 'waiting', reviewFilterSchema.parse({}))
const page = () => timed(() => queueView(services, shop, filter, 50))

const quiet: number[] = []
for (let i = 0; i < 40; i++) quiet.push(await page())

const rebuilt: number[] = []
const meanwhile: number[] = []
const waiting: { publicId: string }[] = await db('review')
  .where({ state: 'waiting' })
  .limit(ROUNDS + 1)
  .select({ publicId: 'public_id' })
for (const [round, { publicId }] of waiting.entries()) {
  await decide(services, shop, asMember(member), publicId, plainAct('approve'), 1)
  let done = false
  const start = performance.now()
  const working = jobs.drain().then(() => {
    done = true
  })
  const waits: number[] = []
  while (!done) {
    waits.push(await page())
    await new Promise((resolve) => setTimeout(resolve, BETWEEN_MS))
  }
  await working
  const took = performance.now() - start
  if (round === 0) continue
  rebuilt.push(took)
  meanwhile.push(...waits)
}
const left = await db('display').where('stale', '>', 0)
console.log(
  `${DISPLAYS} displays of 12 reviews out of ${REVIEWS}, rendered anew after one decision: ${median(rebuilt).toFixed(0)} ms, ${left.length} left (goal 2,000 ms)`,
)
console.log(
  `a page of the queue meanwhile: median ${median(meanwhile).toFixed(1)} ms, worst ${Math.max(...meanwhile).toFixed(1)} ms; with nothing rendered: median ${median(quiet).toFixed(1)} ms, worst ${Math.max(...quiet).toFixed(1)} ms`,
)
await jobs.stop()
await threads.close()
await close()

async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

function median(values: number[]): number {
  return values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!
}
