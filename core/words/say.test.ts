import { expect, test } from 'vitest'
import { en } from './en'
import { countWord, countWordFirst, say } from './say'

type Tree = { [key: string]: string | Tree }
function leaves(tree: Tree, prefix = ''): [string, string][] {
  return Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'string'
      ? [[prefix + key, value] as [string, string]]
      : leaves(value, `${prefix}${key}.`),
  )
}
const all = leaves(en)
const places = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]).sort()

test('every plural has both its forms', () => {
  const keys = new Set(all.map(([key]) => key))
  for (const key of keys) {
    if (key.endsWith('_one')) expect(keys, key).toContain(key.replace(/_one$/, '_other'))
    if (key.endsWith('_other')) expect(keys, key).toContain(key.replace(/_other$/, '_one'))
  }
})

test('both forms of a plural are filled with the same, the count aside', () => {
  const texts = new Map(all)
  for (const [key, one] of all) {
    if (!key.endsWith('_one')) continue
    const other = texts.get(key.replace(/_one$/, '_other'))!
    const rest = (text: string) => places(text).filter((place) => place !== 'count')
    expect(rest(one), key).toEqual(rest(other))
  }
})

test('nothing is shouted, and no sentence has a double space', () => {
  for (const [key, text] of all) expect(text, key).not.toMatch(/!|\s{2}|\b[A-Z]{4,}\b(?<!PUBLIC)/)
})

test('counts are spelt to nine and written from ten', () => {
  expect([0, 1, 4, 9, 10, 287].map(countWord)).toEqual(['no', 'one', 'four', 'nine', '10', '287'])
  expect([1, 4, 13].map(countWordFirst)).toEqual(['One', 'Four', '13'])
  expect(say('decide.need', { count: 1 })).toBe('One needs you.')
  expect(say('decide.need', { count: 4, replace: { count: countWordFirst(4) } })).toBe('Four need you.')
})

test('what people typed is put in as it is', () => {
  expect(say('form.shownAs', { name: '<b>Bo</b> & {{name}} $t(x)' })).toBe(
    'shown as “<b>Bo</b> & {{name}} $t(x)”',
  )
})
