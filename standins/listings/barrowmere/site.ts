import type { Faults } from '../faults'
import { findByName } from '../findByName'
import { manyOpinions } from '../generated'
import { readOpinions } from '../readOpinions'
import { face, html, json, picture, shopFront, text, type Business, type Opinion, type Site } from '../site'
import { wrenfieldOpinions } from './opinions'

/** The access key of the demo shop. */
export const ACCESS_KEY = 'bw-4417-wrenfield'

const PAGE = 25
const HANDED_OUT = 50
const CALLS_A_MINUTE = 30
const MINUTE_MS = 60_000

export const barrowmereBusinesses = (now: Date): Business[] => [
  {
    id: '48213',
    name: 'Wrenfield Bees',
    street: 'Wrenfield',
    opinions: readOpinions(wrenfieldOpinions, now, ([score, days, bought, name, title, words]) => ({
      rating: Number(score),
      daysAgo: Number(days),
      bought: bought === 'y',
      name: name!,
      title: title!,
      text: words!,
    })),
  },
  { id: '48777', name: 'Wrenfield Second Hand', street: 'Wrenfield', opinions: [] },
  manyOpinions('50005', 'Quayside Ropes', 5000, 10, now),
]

/** A market: JSON with an access key, ten steps, a cursor, 30 calls a minute, the newest 50. */
export function barrowmere(home: string, businesses: () => Business[], on: Faults, now: () => Date): Site {
  const calls: number[] = []
  const opinionData = (one: Opinion) => ({
    opinion: one.id,
    link: `${home}/opinion/${one.id}`,
    buyer: { shown: one.name, face: one.face ? `${home}/face/${one.id}.svg` : null },
    score: one.rating,
    headline: one.title,
    text: one.text,
    at: one.at,
    purchase: one.bought,
  })
  const stallData = (business: Business) => ({
    stall: business.id,
    title: business.name,
    town: business.street,
    score: on.has('comma') ? average(business).replace('.', ',') : Number(average(business)),
    opinions: business.opinions.length,
    banner: `${home}/front/${business.id}.svg`,
    page: `${home}/stall/${business.id}`,
    write: `${home}/stall/${business.id}/opinion`,
    shut: business.closed === true,
  })

  function isTooMany(): boolean {
    const at = now().getTime()
    while (calls.length > 0 && calls[0]! <= at - MINUTE_MS) calls.shift()
    if (calls.length >= CALLS_A_MINUTE) return true
    calls.push(at)
    return false
  }

  return {
    home,
    businesses,
    answer: ({ path, query, headers }) => {
      if (/^\/face\/\w+\.svg$/.test(path)) return picture(face(path))
      if (/^\/front\/\w+\.svg$/.test(path)) return picture(shopFront)
      if (!path.startsWith('/api/')) return page(home, businesses(), path)
      if (isTooMany())
        return { ...json({ error: 'Thirty calls a minute, please.' }, 429), headers: { 'Retry-After': '60' } }
      const key = headers['barrowmere-access']
      if (!key) return json({ error: 'Access is missing.' }, 401)
      if (key !== ACCESS_KEY) return json({ error: 'Nobody has this access.' }, 403)
      if (path === '/api/stalls')
        return json({ stalls: findByName(businesses(), query.get('title') ?? '').map(stallData) })
      const [, id, rest] = /^\/api\/stalls\/(\d+)(\/opinions)?$/.exec(path) ?? []
      const business = businesses().find((one) => one.id === id)
      if (!business) return json({ error: 'No such stall.' }, 404)
      const newest = business.opinions.slice(0, HANDED_OUT)
      if (!rest) return json({ ...stallData(business), newest: newest[0] ? opinionData(newest[0]) : null })
      const from = on.has('endless') ? 0 : newest.findIndex((one) => one.id === query.get('after')) + 1
      const some = newest.slice(from, from + PAGE)
      const hasMore = on.has('endless') || from + PAGE < newest.length
      return json({
        opinions: some.map(opinionData),
        after: hasMore ? (some.at(-1)?.id ?? null) : null,
        total: business.opinions.length,
      })
    },
  }
}

function average({ opinions }: Business): string {
  const rated = opinions.filter(({ rating }) => rating !== null)
  return (rated.reduce((sum, one) => sum + one.rating!, 0) / Math.max(1, rated.length)).toFixed(1)
}

function page(home: string, businesses: Business[], path: string) {
  const id = /^\/stall\/(\d+)/.exec(path)?.[1]
  const key = /^\/opinion\/(\w+)/.exec(path)?.[1]
  const shown = businesses.filter((one) => (id ? one.id === id : true))
  const body = shown
    .map(
      (one) =>
        `<h2><a href="${home}/stall/${one.id}">${text(one.name)}</a></h2><p>Stall ${one.id}</p>${one.opinions
          .filter((opinion) => (key ? opinion.id === key : id !== undefined))
          .slice(0, HANDED_OUT)
          .map(
            (opinion) => `<p><b>${text(opinion.name)}</b> ${opinion.rating} of 10: ${text(opinion.text)}</p>`,
          )
          .join('')}`,
    )
    .join('')
  return html(
    `<!doctype html><html lang="en"><head><title>Barrowmere</title><style>body{font:16px/1.5 Georgia,serif;margin:2rem auto;max-width:760px;background:#f3f6f0}</style></head><body><h1>Barrowmere</h1>${body}</body></html>`,
  )
}
