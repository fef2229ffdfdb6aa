import { TripleIndex } from '../core/moderation/memory/tripleIndex'
import { WordSetIndex } from '../core/moderation/memory/wordSetIndex'
import { readWords, tripleHashes, wordHashes } from '../core/moderation/reading'
import { chanceFrom } from './crowds/chance'
import { customersText } from './crowds/texts'
import { interval } from './share'

/**
 * How many near-copies are found among many other texts: with some words exchanged, cut or added, and with all words
 * in another order. `npm run bench:copies [TEXTS]`.
 */
const TEXTS = Number(process.argv[2] ?? 100_000)
const COPIES = 2000
const chance = chanceFrom(77)

const vocabulary = Array.from({ length: 20_000 }, () => customersText(chance).split(' ')).flat()
/** Twelve to sixty words of customers, a third of them exchanged, so that hardly any two are alike. */
function text(): string[] {
  const words: string[] = []
  const length = 12 + chance.below(49)
  while (words.length < length) words.push(...customersText(chance).split(' '))
  return exchanged(words.slice(0, length), 0.33)
}
const triplesOf = (words: string[]) => tripleHashes(readWords({ title: '', body: words.join(' ') }))
const setOf = (words: string[]) => wordHashes(readWords({ title: '', body: words.join(' ') }))

const triples = new TripleIndex()
const wordSets = new WordSetIndex()
const originals: string[][] = []
for (let i = 0; i < TEXTS; i++) {
  const words = text()
  originals.push(words)
  triples.add(triplesOf(words))
  wordSets.add(setOf(words))
}
const find = (words: string[]) => [
  ...triples.findSimilar(triplesOf(words)).near.map(({ text: found }) => found),
  ...wordSets.findAlike(setOf(words)).map(({ text: found }) => found),
]

function shuffled(words: string[]): string[] {
  const copy = [...words]
  for (let i = copy.length - 1; i > 0; i--) {
    const j = chance.below(i + 1)
    ;[copy[i], copy[j]] = [copy[j]!, copy[i]!]
  }
  return copy
}
function exchanged(words: string[], share: number): string[] {
  return words.map((word) => (chance.isTrue(share) ? chance.pick(vocabulary) : word))
}

function jaccard(a: Int32Array, b: Int32Array): number {
  const other = new Set(b)
  const shared = [...a].filter((hash) => other.has(hash)).length
  return shared / (a.length + b.length - shared)
}

/** Shares of the original's different words. */
function sharedWords(original: string[], copy: string[]): number {
  const [own, other] = [original, copy].map((words) => new Set(words.map((word) => word.toLowerCase())))
  return [...own!].filter((word) => other!.has(word)).length / own!.size
}

function tried(
  name: string,
  change: (words: string[]) => string[],
  counts: (a: string[], b: string[]) => boolean,
) {
  let [asked, found, false_] = [0, 0, 0]
  for (let i = 0; i < COPIES; i++) {
    const of = chance.below(TEXTS)
    const copy = change(originals[of]!)
    const all = find(copy)
    if (all.some((at) => at !== of)) false_++
    if (!counts(originals[of]!, copy)) continue
    asked++
    if (all.includes(of)) found++
  }
  console.log(`${name}: found ${interval(found, asked)}; with others too ${interval(false_, COPIES)}`)
}
const from = process.cpuUsage()
tried('triples with a Jaccard index of 0.5 and more', (words) => exchanged(words, chance.next() * 0.15), (a, b) => jaccard(triplesOf(a), triplesOf(b)) >= 0.5) // oxfmt-ignore
tried('shuffled, 80 % of the words shared', (words) => shuffled(exchanged(words, 0.2)), (a, b) => sharedWords(a, b) >= 0.8) // oxfmt-ignore
tried('new texts (found means falsely)', () => text(), () => false) // oxfmt-ignore
const { user, system } = process.cpuUsage(from)
console.log(`${((user + system) / 1000 / 3 / COPIES).toFixed(2)} ms a text, with making it`)
