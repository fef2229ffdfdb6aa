import { describe, expect, test } from 'vitest'
import { customerMessages } from './customers'
import { customerLanguages } from './customers/languages'
import { ownerTexts } from './en'

type Tree = { [key: string]: string | Tree }
function leaves(tree: Tree, prefix = ''): [string, string][] {
  return Object.entries(tree).flatMap(([key, value]) =>
    typeof value === 'string'
      ? [[prefix + key, value] as [string, string]]
      : leaves(value, `${prefix}${key}.`),
  )
}
const places = (text: string) => [...text.matchAll(/\{\{(\w+)\}\}/g)].map((match) => match[1]).sort()
const english = leaves(customerMessages('en'))
const all = [...leaves(ownerTexts), ...english]

test('every plural has both its forms, filled with the same', () => {
  const texts = new Map(all)
  for (const [key, text] of all) {
    if (key.endsWith('_other')) expect(texts.has(key.replace(/_other$/, '_one')), key).toBe(true)
    if (!key.endsWith('_one')) continue
    const rest = (one: string) => places(one).filter((place) => place !== 'count')
    expect(rest(texts.get(key.replace(/_one$/, '_other'))!), key).toEqual(rest(text))
  }
})

test('a key names one text or one plural, not both', () => {
  const keys = new Set(all.map(([key]) => key))
  expect(keys.size).toBe(all.length)
  for (const key of keys) expect(keys, key).not.toContain(`${key}_one`)
})

test('nothing is shouted, and no sentence has a double space', () => {
  for (const [key, text] of all)
    expect(text, key).not.toMatch(/!|\s{2}|\b[A-Z]{4,}\b(?<!PUBLIC|SMTP|MAIL|FROM)/)
})

describe.each(customerLanguages.filter((language) => language !== 'en'))('in %s', (language) => {
  const texts = new Map(leaves(customerMessages(language)))

  test('each text fills the same places as the English one', () => {
    for (const [key, text] of english) {
      const rest = (one: string) => places(one).filter((place) => place !== 'count')
      expect(rest(texts.get(key)!), key).toEqual(rest(text))
    }
  })

  test('no text was left in English', () => {
    const same = english.filter(
      ([key, text]) => /\p{L}{4}/u.test(text.replace(/\{\{.*?\}\}/g, '')) && texts.get(key) === text,
    )
    expect(
      same.filter(
        ([, text]) =>
          !['Photos', 'Spam', 'spam', 'Pause', 'Name', 'Date', 'Photo {{place}}', 'optional'].includes(text),
      ),
    ).toEqual([])
  })
})

test('French has a no-break space before its high signs', () => {
  for (const [key, text] of leaves(customerMessages('fr'))) expect(text, key).not.toMatch(/ [?!;:»]|« /)
})

/** Words that readers stumbled over, and what replaced them; a text that needs one is listed behind it. */
const retired: [RegExp, string[]][] = [
  [/\bmailbox/i, []],
  [/\be-mail|\bmails?\b/i, []],
  [/\b(?:make|made|makes) (?:it |them )?live\b|\blive\b/i, []],
  [/\bdress(?:ed|es)?\b|\bwears?\b/i, []],
  [/\bways? in\b/i, []],
  [/\btick(?:ed|s)?\b/i, []],
  [/\bkept\b|\bkeep (?:it|this|changes)\b/i, ['Keep it private']],
  [/\btake(?:s|n)? (?:it )?(?:back|down)\b|\btook it back\b/i, []],
  [/\blanes?\b(?!\}\})/i, []],
  [/\bstands?\b/i, []],
  [/\bowed\b/i, []],
  [/\bmend\b/i, []],
  [/\bput it back\b|\bbring them in\b/i, []],
  [/ %/, []],
]

test.each(retired)('%s is said no more', (word, allowed) => {
  const found = all.filter(
    ([, text]) => word.test(text.replace(/\{\{\w+\}\}|\[\w+\]/g, '…')) && !allowed.includes(text),
  )
  expect(found).toEqual([])
})
