import { hundredthsOfFive } from '../core/formats/rating'
import type { Arriving } from '../core/moderation/memory/arrival'
import { ShopHistory } from '../core/moderation/memory/shopHistory'
import { arrivalState } from '../core/moderation/rules'
import { trustedSubmission } from '../core/moderation/submissionChecks'
import { spamScore } from '../core/moderation/spamScore'
import { weigh } from '../core/moderation/weigh'
import { startingModel } from '../core/moderation/wording/starting'
import { readLabelled } from './labelled/read'

/** Reviews scored a second on one core, with all signals and near-copies, against many earlier ones. */
const EARLIER = Number(process.env.EARLIER ?? 100_000)
const TIMED = Math.min(10_000, Math.max(1000, EARLIER / 5))

let seed = 42
const random = () => (seed = (Math.imul(seed, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32
const bodies = readLabelled()
  .filter(({ kind }) => ['plain', 'angry', 'long', 'capitals', 'misspelt'].includes(kind))
  .map(({ body }) => body)
const words = bodies.join(' ').split(/\s+/)
const pick = <T>(some: T[]): T => some[Math.floor(random() * some.length)]!
/** One to four sentences of customers with every second word replaced, so that hardly any two are alike. */
function text(sentences: number): string {
  return Array.from({ length: sentences }, () => pick(bodies))
    .join(' ')
    .split(' ')
    .map((word) => (random() < 0.5 ? pick(words) : word))
    .join(' ')
}

/** The floor: splits the texts into words and looks up each. */
function floor(texts: string[]): number {
  const table = new Map(words.map((word, i) => [word.toLowerCase(), (i % 7) - 3]))
  const from = process.cpuUsage()
  let sum = 0
  for (const one of texts)
    for (const word of one.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? []) sum += table.get(word) ?? 0
  const { user, system } = process.cpuUsage(from)
  return Number.isFinite(sum) ? texts.length / ((user + system) / 1e6) : 0
}

const texts = Array.from({ length: EARLIER + 2 * TIMED }, () => text(1 + Math.floor(random() * 4)))
floor(texts.slice(0, 2000))
const floorRate = floor(texts.slice(0, TIMED))
console.log(
  `floor: ${Math.round(floorRate)} texts a second, of ${Math.round(texts.slice(0, 500).join(' ').split(' ').length / 500)} words`,
)

const memory = new ShopHistory()
const start = Date.parse('2016-01-01T00:00:00Z')
const model = startingModel()
function arriving(i: number): Arriving {
  return {
    id: String(i),
    title: i % 3 === 0 ? `${pick(words)} ${pick(words)} ${pick(words)}` : '',
    body: texts[i % texts.length]!,
    rating: hundredthsOfFive(1 + (i % 5), 5),
    authorName: `${words[i % words.length]} ${words[(i * 7) % words.length]}`,
    authorEmail: `customer${i}@post.example`,
    ip: `${(i * 7919) % 223}.${(i * 104_729) % 251}.${(i * 1_299_709) % 241}.${i % 253}`,
    receivedAt: new Date(start + i * 3_000_000).toISOString(),
    product: `P${i % 40}`,
    fillSeconds: 20 + (i % 200),
    verified: i % 3 === 0,
  }
}

const ownDomains = ['tidemark.example']
function review(one: Arriving) {
  const { arrival, history } = memory.compareAndRemember(one)
  const signals = weigh({ arrival, history, model, ownDomains, knownOrderKeys: [], ...trustedSubmission })
  return arrivalState({
    score: spamScore(signals),
    kinds: signals.map(({ kind }) => kind),
    rating: one.rating,
    source: 'form',
    language: null,
    product: one.product,
    verified: one.verified === true,
  })
}

const rates: number[] = []
for (let i = 0; i < EARLIER + TIMED;) {
  const some = Array.from({ length: TIMED }, () => arriving(i++))
  const from = process.cpuUsage()
  for (const one of some) review(one)
  const { user, system } = process.cpuUsage(from)
  rates.push(TIMED / ((user + system) / 1e6))
}
// The machine's speed varies, and some steps contain the growth of an index, so the median is reported.
const middle = rates.slice(1).sort((a, b) => a - b)[Math.floor((rates.length - 1) / 2)]!
console.log(
  `weighed a second of CPU, by how many came before, in steps of ${TIMED}: ${rates.map(Math.round).join(', ')}`,
)
console.log(
  `the middle of them after the first: ${Math.round(middle)}; the floor is ${(floorRate / middle).toFixed(1)} times as fast (goal 7.5)`,
)
console.log(`memory ${Math.round(process.memoryUsage().rss / 1e6)} MB`)
const alone = Array.from({ length: 200 }, (_, k) => {
  const one = arriving(EARLIER + TIMED + k)
  const from = performance.now()
  review(one)
  return performance.now() - from
}).sort((a, b) => a - b)
console.log(`one alone: median ${alone[100]!.toFixed(2)} ms, 95 % under ${alone[190]!.toFixed(2)} ms`)
