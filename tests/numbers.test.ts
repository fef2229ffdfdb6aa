import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Knex } from 'knex'
import { owner } from '../demo/members'
import { reviewStates } from '../core/moderation/rules'
import { databaseFile } from '../server/dataFolder'
import { openDatabase } from '../server/data/database'
import { startDemo, type Running } from './support/application'

/* What the screens say is compared with plain counts of rows, which use no counter of the application. */

let demo: Running
let db: Knex
let cookie = ''
let shop: { id: number }
beforeAll(async () => {
  demo = await startDemo()
  db = await openDatabase(databaseFile(demo.dataFolder))
  shop = (await db('shop').where({ slug: 'wrenfield' }).first('id')) as { id: number }
  const answer = await fetch(`${demo.url}/sign-in`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({ email: owner.email, password: owner.password }),
  })
  cookie = answer.headers
    .getSetCookie()
    .map((line) => line.split(';')[0]!)
    .join('; ')
})
afterAll(async () => {
  await db.destroy()
  await demo.stop()
})

const html = async (path: string): Promise<string> => {
  const answer = await fetch(demo.url + path, { headers: { Cookie: cookie } })
  expect(answer.status, path).toBe(200)
  return answer.text()
}

/** The text of a page, each element a word apart. */
const text = async (path: string): Promise<string> =>
  (await html(path))
    .replace(/<(script|style)\b[\s\S]*?<\/\1>/g, ' ')
    .replace(/<[^>]*>/g, ' ')
    .replace(/&#x27;|&rsquo;/g, '’')
    .replace(/\s+/g, ' ')

const numbers = (said: string, words: RegExp): number[] => {
  const found = words.exec(said)
  expect(found, `${words} in ${said.slice(0, 3000)}`).not.toBeNull()
  return found!.slice(1).map(Number)
}

const reviews = () => db('review').where({ shop_id: shop.id }).whereIn('state', reviewStates)
const count = async (query: Knex.QueryBuilder): Promise<number> => {
  const [row] = (await query.count({ count: '*' })) as { count: number }[]
  return Number(row!.count)
}
const elsewhere = ['listing', 'post']

test('Gather: the sentence is the sum of the column below it', async () => {
  const since = new Date(Date.now() - 30 * 86_400_000).toISOString()
  const lately = () => reviews().where('received_at', '>=', since).whereNot({ source: 'trial' })
  const page = await html('/s/wrenfield/gather')
  const said = await text('/s/wrenfield/gather')
  const [all] = numbers(said, /(\d+) reviews in the last 30 days/)
  const [own, percent, others] = numbers(
    said,
    /(\d+) sent to you, (\d+)% of these by verified buyers, and (\d+) from other sites/,
  )
  const column = [...page.matchAll(/data-arrivals="(\d+)"/g)].map(([, number]) => Number(number))
  expect(column.reduce((sum, number) => sum + number, 0)).toBe(all)
  expect(own! + others!).toBe(all)
  expect(all).toBe(await count(lately()))
  expect(others).toBe(await count(lately().whereIn('source', elsewhere)))
  const verified = await count(lately().whereNotIn('source', elsewhere).where({ verified: true }))
  expect(percent).toBe(Math.round((verified / own!) * 100))
  const [quiet, products] = numbers(said, /(\d+) of (\d+) products have no review yet/)
  const present = () => db('product').where({ shop_id: shop.id, merged_into: null })
  expect(products).toBe(await count(present()))
  const reviewed = reviews()
    .whereNotIn('state', ['spam', 'declined'])
    .whereNotNull('product_id')
    .select('product_id')
  expect(quiet).toBe(await count(present().where({ retired: false }).whereNotIn('id', reviewed)))
})

test('Decide: each list has the number on its tab, and the sentence is what waits and is held back', async () => {
  const page = await html('/s/wrenfield/decide')
  const tabs = new Map(
    [...page.matchAll(/data-lane-count="(\w+)">(\d+)/g)].map(([, state, number]) => [state!, Number(number)]),
  )
  for (const [state, shown] of tabs) {
    const plain = reviews().where({ state })
    if (state === 'held') void plain.where({ unconfirmed: false })
    expect(shown, state).toBe(await count(plain))
  }
  const undecided = tabs.get('waiting')! + tabs.get('held')!
  expect(numbers(await text('/s/wrenfield/show'), /Decide (\d+)/)).toEqual([undecided])
})

test('Products and Show: the numbers of the lists', async () => {
  const said = await text('/s/wrenfield/gather/products')
  expect(numbers(said, /(\d+) products/)).toEqual([
    await count(db('product').where({ shop_id: shop.id, merged_into: null })),
  ])
  const live = db('display').where({ shop_id: shop.id, removed_at: null }).whereNotNull('live_version_id')
  expect(numbers(await text('/s/wrenfield/show'), /(\d+) displays are published/)).toEqual([
    await count(live),
  ])
})

test('how reviews are handled: what came adds up, and so does what the average is of', async () => {
  const said = await text('/how/wrenfield')
  const own = () => reviews().whereNotIn('source', [...elsewhere, 'trial'])
  const [received, approved, undecided, declined, spam] = numbers(
    said,
    /(\d+) received so far (\d+) approved (\d+) waiting for a decision (\d+) declined (\d+) spam/,
  )
  expect(received).toBe(await count(own()))
  expect(received! - (await count(own().where({ state: 'withdrawn' })))).toBe(
    approved! + undecided! + declined! + spam!,
  )
  expect(approved).toBe(await count(own().where({ state: 'approved' })))
  const [rated] = numbers(said, /from all (\d+) approved reviews with a rating by a customer/)
  const [unrated] = numbers(said, /(\d+) approved reviews have no rating or were written down/)
  const unshown = /One approved review isn’t shown/.test(said)
    ? 1
    : Number(/(\d+) approved reviews aren’t shown/.exec(said)?.[1] ?? 0)
  expect(rated! + unrated! + unshown).toBe(approved)
  expect(rated).toBe(
    await count(
      own()
        .where({ state: 'approved', showable: true })
        .whereNot({ source: 'manualEntry' })
        .whereNotNull('rating'),
    ),
  )
  const [others] = numbers(said, /(\d+) further reviews were posted on/)
  const shown = reviews().where({ showable: true }).whereNotNull('published_version_id')
  expect(others).toBe(await count(shown.whereIn('source', elsewhere)))
})

test('every published display says from how many its reviews were selected, and links to as many', async () => {
  const displays = (await db('display')
    .where({ shop_id: shop.id, removed_at: null })
    .whereNotNull('live_version_id')
    .select('key', 'name')) as { key: string; name: string }[]
  const publishable = () => reviews().where({ showable: true }).whereNotNull('published_version_id')
  const all = await count(publishable())
  const ofOthers = await count(publishable().whereIn('source', elsewhere))
  let mixed = 0
  for (const { key } of displays) {
    const answer = await fetch(`${demo.url}/d/${key}.json`)
    const { html: shown } = (await answer.json()) as { html: string }
    const said = shown.replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ')
    const picked =
      /These (\d+).*? selected by [^.]*? from (\d+)(?: \((\d+) of them from other sites\))?\./.exec(said)
    if (!picked) continue
    const quotations = [...shown.matchAll(/<figure\b|<li class="eg-q|<tr class="eg-q/g)].length
    if (quotations > 0) expect(Number(picked[1]), key).toBe(quotations)
    const link = /See all (\d+)/.exec(said)
    if (link) expect(link[1], key).toBe(picked[2])
    if (picked[3] === undefined) continue
    mixed++
    expect([Number(picked[2]), Number(picked[3])], key).toEqual([all, ofOthers])
  }
  expect(mixed).toBeGreaterThan(0)
})
