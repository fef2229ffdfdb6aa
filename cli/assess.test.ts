import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, expect, test } from 'vitest'
import { OWN_DOMAIN, readLabelled } from '../bench/labelled/read'
import { HELD_FROM } from '../core/moderation/rules'
import { assessFile } from './assess'
import { trainVocabulary, vocabularyPath, writeVocabulary } from './trainVocabulary'
import { startingFile, trainWording } from './trainWording'

const folder = mkdtempSync(path.join(tmpdir(), 'elogio-assess-'))
afterAll(() => rmSync(folder, { recursive: true }))
function write(name: string, lines: object[]): string {
  const file = path.join(folder, name)
  writeFileSync(file, lines.map((line) => JSON.stringify(line)).join('\n'))
  return file
}
const assess = (lines: object[], teach?: object[]) =>
  assessFile(write('reviews.jsonl', lines), ['wrenfield.example'], teach && write('lessons.jsonl', teach))

test('a line out for each line in, in order, with places in the text as given', () => {
  const body = '🐝 Nice. Free bees at hives.example'
  const [one, two, three] = assess([
    { id: 'a', title: 'Hello', body, rating: 5 },
    { body: 'Cut true and easy to put together.' },
    { id: 7, body: 'You fucking crooks, ring me on 07700 900417', rating: '1' },
  ])
  expect([one!.id, two!.id, three!.id]).toEqual(['a', 2, 7])
  expect(one!.near).toEqual([])
  expect(['held', 'spam']).toContain(one!.state)
  const link = one!.reasons.find(({ signal }) => signal === 'link')!
  expect(link.at.map(([field, start, end]) => [field, body.slice(start, end)])).toEqual([
    ['body', 'hives.example'],
  ])
  expect(one!.score).toBe(one!.reasons.reduce((sum, { points }) => sum + points, 0))
  expect(two).toMatchObject({ state: 'waiting', score: 0, reasons: [] })
  expect(three!.state).toBe('held')
  expect(three!.reasons.filter(({ points }) => points === 0).map(({ signal }) => signal)).toEqual([
    'abuse',
    'personal',
  ])
})

test('earlier lines count, those of another shop do not, and none is revised', () => {
  const body = 'The owner helped me to choose the right paper for my prints and wrapped it well.'
  const lines = ['a', 'b', 'c'].map((id) => ({
    id,
    body,
    author_email: `${id}@post.example`,
    shop: id === 'c' ? 'other' : '',
  }))
  expect(assess(lines).map(({ near, state }) => [near, state])).toEqual([
    [[], 'waiting'],
    [['a'], 'held'],
    [[], 'waiting'],
  ])
})

test('what is taught is learnt first', () => {
  const lessons = [
    'Our guild of dowsers finds your water vein, ask for the blue pendulum',
    'The blue pendulum of the dowsers guild frees your bed of water veins',
    'Ask the guild of dowsers: water veins in your house, found by pendulum',
  ]
  const asked = [{ body: 'Dowsers guild: water veins under your house, ask for our blue pendulum' }]
  const [before] = assess(asked)
  const [after] = assess(
    asked,
    lessons.map((body) => ({ body, decision: 'spam' })),
  )
  expect(after!.score).toBeGreaterThan(before!.score + 20)
})

test('a rating on no scale of five says nothing, and the rest is weighed all the same', () => {
  const [ten, none] = assess([
    { body: 'Terrible, broken, useless', rating: 10 },
    { rating: null, body: null },
  ])
  expect(ten!.reasons.map(({ signal }) => signal)).not.toContain('mismatch')
  expect(none).toMatchObject({ id: 2, state: 'waiting', score: 0 })
})

test('a line that is no review is named', () => {
  const file = path.join(folder, 'broken.jsonl')
  writeFileSync(file, '{"body":"fine"}\n{"body":')
  expect(() => assessFile(file, [], undefined)).toThrow(/broken\.jsonl, line 2: this is not JSON/)
  expect(() => assessFile(write('odd.jsonl', [{ body: 'x', rating: {} }]), [], undefined)).toThrow(
    /line 1: rating/,
  )
})

test('of the labelled set nearly all spam is held or marked, and hardly any honest one for spam', () => {
  const labelled = readLabelled()
  const assessed = assessFile(write('labelled.jsonl', labelled), [OWN_DOMAIN], undefined)
  const rate = (label: 'spam' | 'honest') => {
    const own = assessed.filter((_, i) => labelled[i]!.label === label)
    // A link holds spam back whatever its points; an honest review is only stopped by its points.
    const isStopped = ({ state, score, reasons }: (typeof own)[number]) =>
      score >= HELD_FROM ||
      (label === 'spam' && state === 'held' && reasons.some(({ signal }) => signal !== 'personal'))
    return own.filter(isStopped).length / own.length
  }
  expect(labelled.length).toBeGreaterThanOrEqual(300)
  expect(rate('spam')).toBeGreaterThanOrEqual(0.9)
  expect(rate('honest')).toBeLessThanOrEqual(0.02)
})

test('no text that the model is made of is in the labelled set', () => {
  const texts = ['spam', 'honest'].flatMap((name) =>
    readFileSync(new URL(`../core/moderation/wording/texts/${name}.txt`, import.meta.url), 'utf8').split(
      '\n',
    ),
  )
  const learnt = new Set(texts.map((text) => text.trim().toLowerCase()))
  // Words that anybody says ("Great!") are in both.
  const shared = readLabelled().filter(
    ({ body }) => body.split(' ').length > 6 && learnt.has(body.trim().toLowerCase()),
  )
  expect(shared).toEqual([])
})

test('what ships is what its texts give', () => {
  expect(JSON.parse(readFileSync(startingFile, 'utf8'))).toEqual(trainWording())
  expect(JSON.parse(readFileSync(vocabularyPath, 'utf8'))).toEqual(writeVocabulary(trainVocabulary()))
})
