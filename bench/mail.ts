import { simpleParser } from 'mailparser'
import { createRequire } from 'node:module'
import path from 'node:path'
import { TripleIndex } from '../core/moderation/memory/tripleIndex'
import { readWords, tripleHashes, type ReadWord } from '../core/moderation/reading'
import { HELD_LOG_ODDS } from '../core/moderation/signals/wording'
import { modelOf, type Verdict, type WordingModel } from '../core/moderation/wording/model'
import { startingModel } from '../core/moderation/wording/starting'
import { randomFrom, taughtBy, train } from '../core/moderation/wording/train'

/**
 * How well the text model learns from others' texts: a public corpus of labelled mails, trained on one half and tried
 * on the other; near-copies are in the same half. The corpus is a package that exports a function which returns
 * `{ group, text }[]`, with "spam" or "ham" in each group's name, in a folder of its own:
 * `npm run bench:mail -- FOLDER PACKAGE`.
 */
const MOST_WORDS = 2000
const FIRST_WORDS = 40

interface Mail {
  verdict: Verdict
  words: ReadWord[]
}

const [folder, name] = process.argv.slice(2)
if (!folder || !name) throw new Error('npm run bench:mail -- FOLDER PACKAGE')
const corpus = createRequire(path.resolve(folder, 'index.js'))(name) as () => {
  group: string
  text: string
}[]

const mails: Mail[] = []
for (const { group, text } of corpus()) {
  const { text: body = '' } = await simpleParser(text)
  const { words } = readWords({ title: '', body })
  // Pictures alone, for instance.
  if (words.length === 0) continue
  mails.push({ verdict: group.includes('spam') ? 'spam' : 'honest', words: words.slice(0, MOST_WORDS) })
}

/** Half of the groups of near-copies. */
function halves(all: Mail[]): [Mail[], Mail[]] {
  const index = new TripleIndex()
  const groups = new Map<number, number>()
  const groupOf = (at: number): number => (groups.get(at) === at ? at : groupOf(groups.get(at)!))
  all.forEach(({ words }, i) => {
    const triples = tripleHashes({ words })
    groups.set(i, i)
    for (const { text } of index.findSimilar(triples).near) groups.set(groupOf(text), groupOf(i))
    index.add(triples)
  })
  const random = randomFrom(11)
  const isFirst = new Map<number, boolean>()
  const [first, second]: [Mail[], Mail[]] = [[], []]
  all.forEach((mail, i) => {
    const group = groupOf(i)
    if (!isFirst.has(group)) isFirst.set(group, random() < 0.5)
    ;(isFirst.get(group) ? first : second).push(mail)
  })
  return [first, second]
}

/** F1 of spam: the harmonic mean of precision and recall. */
function f1(model: WordingModel, tried: Mail[], limit: number): string {
  let [hits, misses, falsely] = [0, 0, 0]
  for (const { verdict, words } of tried) {
    const isSpam = model.logOdds(words) > limit
    if (verdict === 'honest') falsely += isSpam ? 1 : 0
    else if (isSpam) hits++
    else misses++
  }
  const share = (value: number) => value.toFixed(3)
  return `F1 ${share((2 * hits) / (2 * hits + misses + falsely))} (${hits} spam found, ${misses} missed, ${falsely} of ${tried.length - hits - misses} honest ones wrong)`
}

const [first, second] = halves(mails)
console.log(`${mails.length} mails, trained on ${first.length}, tried on ${second.length}`)
const beginnings = (some: Mail[]) =>
  some.map((mail) => ({ ...mail, words: mail.words.slice(0, FIRST_WORDS) }))
const parts: [string, Mail[], Mail[]][] = [
  ['bodies', first, second],
  [`their first ${FIRST_WORDS} words`, beginnings(first), beginnings(second)],
]
for (const [what, trained, tried] of parts) {
  console.log(`${what}, a model made of them: ${f1(modelOf(train(trained)), tried, 0)}`)
  const taught = startingModel().withTaught(taughtBy(startingModel(), trained))
  console.log(`${what}, taught to a shop: ${f1(taught, tried, HELD_LOG_ODDS)}`)
}
