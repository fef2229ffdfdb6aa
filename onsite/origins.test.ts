import { gzipSync } from 'node:zlib'
import { HtmlValidate } from 'html-validate'
import { describe, expect, test } from 'vitest'
import { inScope, pick, scopeOf } from '../core/curation/selection'
import { scopeTotals } from '../core/curation/scopeTotals'
import { layouts } from '../core/display/choices'
import { displayModel, type Asked } from '../core/display/displayModel'
import type { ShownListing } from '../core/display/origins'
import type { ShowableReview } from '../core/display/showableReview'
import { beeShop, configured, showable } from '../tests/support/display'
import { renderDisplay, renderItems } from './render'

const listing = (publicId: string, more: Partial<ShownListing> = {}): ShownListing => ({
  publicId,
  origin: 'lanternway',
  site: 'Lanternway',
  icon: 'M6 1h4v2h2l1 3v7H3V6l1-3h2zm1 6v3h2V7z',
  name: 'Wrenfield Bee Supply',
  url: `https://sites.example/${publicId}`,
  writeUrl: `https://sites.example/${publicId}/write`,
  picture: 'front.webp',
  average: 4.7,
  scale: 5,
  count: 122,
  isConnected: true,
  ...more,
})
const market = { origin: 'barrowmere', site: 'Barrowmere', average: 9, scale: 10, count: 80 }
const listings = {
  row: listing('row'),
  stall: listing('stall', { average: 4, count: 61 }),
  market: listing('market', market),
}
const posted = (id: number, on: keyof typeof listings, more: Partial<ShowableReview> = {}): ShowableReview =>
  showable(id, 500, {
    source: 'listing',
    listing: on,
    posted: { origin: listings[on].origin, likes: null, claimsVerified: false },
    seenUrl: `https://sites.example/review/${id}`,
    ...more,
  })
const reviews = [
  posted(5, 'row'),
  posted(4, 'stall', { posted: { origin: 'lanternway', likes: 41, claimsVerified: false } }),
  posted(3, 'market', { posted: { origin: 'barrowmere', likes: null, claimsVerified: true } }),
  showable(2, 300),
  showable(1, 100, { source: 'manualEntry' }),
]
type Changed = Parameters<typeof configured>[0]
function modelOf(changed: Changed = {}, some = reviews, asked: Asked = {}) {
  const configuration = configured(changed)
  const { selection } = configuration
  return displayModel({
    configuration,
    shop: { ...beeShop, listings },
    picked: pick(some, selection, asked),
    totals: scopeTotals(
      some
        .filter((review) => inScope(review, scopeOf(selection, asked)))
        .map((review) => ({ ...review, count: 1 })),
      selection,
    ),
    links: { write: null, all: 'https://r.example/d/x/all', how: 'https://r.example/how/x' },
    fontsUrl: '',
    mediaUrl: 'https://r.example/media/',
    now: '2026-11-25T00:00:00Z',
    asked,
  })
}
const htmlOf = (changed: Changed = {}, some = reviews, asked: Asked = {}) =>
  renderDisplay(modelOf(changed, some, asked)).html
const text = (html: string) => html.replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ')

describe('the heading', () => {
  test('states the numbers of each site, several listings of one as one, apart from the own average', () => {
    const html = text(htmlOf())
    // 4.7 from 122 and 4.0 from 61, weighted.
    expect(html).toContain('4.5 from 183 reviews on Lanternway')
    expect(html).toContain('9.0 of 10 from 80 reviews on Barrowmere')
    expect(html).toContain('3.0 from 1 rating')
  })

  test('a selection of one listing leaves the others out, and numbers of a disconnected one are not stated', () => {
    const alone = text(htmlOf({ selection: { listings: ['row'] } }))
    expect(alone).toContain('4.7 from 122 reviews on Lanternway')
    expect(alone).not.toContain('Barrowmere')
    listings.market.isConnected = false
    expect(text(htmlOf())).not.toContain('from 80')
    listings.market.isConnected = true
  })

  test('the business with its picture or the logo, see all there, write one there', () => {
    const shown = { heading: { business: 'business' as const, allThere: true, writeThere: true } }
    const html = htmlOf({ ...shown, selection: { listings: ['row'] } })
    // Two connected listings of a site have no single page.
    expect(htmlOf(shown)).not.toContain('See all on Lanternway')
    expect(html).toContain('See all on Lanternway')
    expect(html).toContain('Write one on Lanternway')
    expect(htmlOf({ ...shown, selection: { listings: ['market'] } })).toContain('See all on Barrowmere')
    expect(html).toContain('https://r.example/media/front.webp')
    expect(htmlOf({ heading: { business: 'logo' } })).not.toContain('front.webp')
  })
})

describe('a review', () => {
  test.each([
    ['link', /<a href="https:\/\/sites.example\/review\/5" rel="nofollow noopener">posted on Lanternway/],
    ['newTab', /target="_blank" rel="nofollow noopener">posted on Lanternway/],
    ['name', /<\/svg> posted on Lanternway/],
  ] as const)('says where it was posted: %s', (origin, shown) => {
    expect(htmlOf({ parts: { origin } })).toMatch(shown)
  })

  test('the claim of a site is its claim, likes are likes, and both can be left out', () => {
    expect(text(htmlOf())).toMatch(/posted on Barrowmere ?, verified buyer, says Barrowmere/)
    expect(text(htmlOf())).toContain('41 likes')
    expect(text(htmlOf())).not.toContain('bought here')
    const without = text(htmlOf({ parts: { origin: 'hidden', likes: false } }))
    expect(without).not.toMatch(/posted on|41 likes|verified buyer/)
  })
})

describe('reading by origin', () => {
  test('one choice for each site and one for the shop itself, as links', () => {
    const html = htmlOf({ heading: { byOrigin: true } })
    expect([...html.matchAll(/data-origin="([^"]*)" data-here="(\d+)"/g)].map(([, ...found]) => found)).toEqual([['', '5'], ['lanternway', '2'], ['barrowmere', '1'], ['own', '2']]) // oxfmt-ignore
    expect(html).toContain('href="https://r.example/d/x/all?origin=barrowmere"')
    expect(html).toContain('<b>9.0/10</b>')
    expect(html).toContain('data-review="r3" data-origin="barrowmere"')
    expect(htmlOf({ heading: { byOrigin: true } }, reviews.slice(3))).not.toContain('eg-origins')
  })

  test('further reviews are items of the same list', () => {
    expect(renderItems(modelOf())).toMatch(/^<li data-review="r5">/)
  })
})

test.each(layouts)(
  '%s is valid HTML, and twelve reviews of 60 words from other sites fit in 8 kB',
  async (kind) => {
    const words = 'bees frames honey smoker veil wax comb hive super queen drone swarm '.repeat(5)
    const twelve = Array.from({ length: 12 }, (_, i) =>
      posted(i + 1, i % 2 ? 'row' : 'market', {
        body: `${words.slice(i)} number ${i}`,
        authorName: `Writer ${i} of Many`,
        portrait: `portrait${i}.webp`,
      }),
    )
    const { html, css } = renderDisplay(
      modelOf(
        {
          layout: { kind },
          selection: { limit: 12 },
          heading: { byOrigin: true, business: 'business', allThere: true, writeThere: true },
        },
        twelve,
      ),
    )
    expect(gzipSync(html + css, { level: 9 }).length).toBeLessThan(8000)
    const report = await new HtmlValidate({ extends: ['html-validate:standard'], rules: { 'no-inline-style': 'off', 'long-title': 'off' } }).validateString(html) // oxfmt-ignore
    expect(report.results.flatMap(({ messages }) => messages.map(({ message }) => message))).toEqual([])
  },
)
