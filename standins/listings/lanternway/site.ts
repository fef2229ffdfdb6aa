import { findByName } from '../findByName'
import { manyOpinions } from '../generated'
import { readOpinions } from '../readOpinions'
import { face, html, picture, shopFront, text, type Business, type Opinion, type Site } from '../site'
import type { Faults } from '../faults'
import { pubReviews, stallReviews, wrenfieldReviews } from './reviews'

const PAGE = 20

const readLine = ([rating, days, name, words]: string[]) => ({
  rating: Number(rating),
  daysAgo: Number(days),
  name: name!,
  text: words!,
})

export const lanternwayBusinesses = (now: Date): Business[] => [
  {
    id: 'LW7Q4K2M9A',
    name: 'Wrenfield Bee Supply',
    street: "Tanner's Row 4",
    opinions: readOpinions(wrenfieldReviews, now, readLine),
  },
  { id: 'LW3S8T5B1C', name: 'Wrenfield Bee Supply, Saturday stall', street: '', opinions: readOpinions(stallReviews, now, readLine) }, // oxfmt-ignore
  { id: 'LW9P2U6B4D', name: 'The Wrenfield Beehive', street: 'Bridge Street 31', opinions: readOpinions(pubReviews, now, readLine) }, // oxfmt-ignore
  manyOpinions('LW5V0L5M0E', 'Harbour Chandlery', 5000, 5, now),
]

/** A map of businesses: pages with structured data, pages by number, five steps. */
export function lanternway(home: string, businesses: () => Business[], on: Faults): Site {
  const urlOf = ({ id, name }: Business) => `${home}/place/${id}/${slug(name)}`
  const reviewData = (opinion: Opinion) => ({
    '@type': 'Review',
    '@id': `${home}/review/${opinion.id}`,
    author: {
      '@type': 'Person',
      name: opinion.name,
      ...(opinion.face && { image: `${home}/face/${opinion.id}.svg` }),
    },
    datePublished: opinion.at.slice(0, 10),
    reviewBody: opinion.text,
    reviewRating: { '@type': 'Rating', ratingValue: opinion.rating, bestRating: 5 },
  })
  const placeData = (business: Business, opinions?: Opinion[]) => ({
    '@context': 'https://schema.org',
    '@type': 'LocalBusiness',
    identifier: business.id,
    name: business.name,
    ...(business.street && { address: { '@type': 'PostalAddress', streetAddress: business.street } }),
    url: urlOf(business),
    image: `${home}/front/${business.id}.svg`,
    potentialAction: { '@type': 'ReviewAction', target: `${urlOf(business)}?write=yes` },
    ...(business.closed && { permanentlyClosed: true }),
    ...(business.opinions.length > 0 && {
      aggregateRating: {
        '@type': 'AggregateRating',
        ratingValue: on.has('comma') ? average(business).replace('.', ',') : average(business),
        reviewCount: business.opinions.length,
        bestRating: 5,
      },
    }),
    ...(opinions && { review: opinions.map(reviewData) }),
  })

  function placePage(business: Business, page: number) {
    const from = (page - 1) * PAGE
    const opinions = on.has('endless')
      ? business.opinions.slice(0, PAGE)
      : business.opinions.slice(from, from + PAGE)
    const hasNext = on.has('endless') || from + PAGE < business.opinions.length
    return document(
      business.name,
      placeData(business, opinions),
      `<h1>${text(business.name)}</h1><p>${text(business.street || 'No street given')}</p>
<p>${average(business)} of 5 from ${business.opinions.length}</p>
${opinions.map((one) => `<article><b>${text(one.name)}</b> ${one.rating} of 5<p>${text(one.text)}</p></article>`).join('\n')}
${hasNext ? `<a rel="next" href="${urlOf(business)}?page=${page + 1}">Older ones</a>` : ''}`,
    )
  }

  return {
    home,
    businesses,
    answer: ({ path, query }) => {
      if (/^\/face\/\w+\.svg$/.test(path)) return picture(face(path))
      if (/^\/front\/\w+\.svg$/.test(path)) return picture(shopFront)
      if (path === '/search') {
        const found = findByName(businesses(), query.get('q') ?? '')
        const list = {
          '@context': 'https://schema.org',
          '@type': 'ItemList',
          itemListElement: found.map((business) => ({ '@type': 'ListItem', item: placeData(business) })),
        }
        return html(document('Search', list, found.map(({ name }) => `<p>${text(name)}</p>`).join('')))
      }
      const place = /^\/place\/(\w+)(?:\/|$)/.exec(path)?.[1]?.toUpperCase()
      const business = businesses().find(({ id }) => id === place)
      if (business) return html(placePage(business, Math.max(1, Number(query.get('page')) || 1)))
      const key = /^\/review\/(\w+)$/.exec(path)?.[1]
      const opinion = businesses()
        .flatMap(({ opinions }) => opinions)
        .find(({ id }) => id === key)
      if (opinion) return html(document(opinion.name, reviewData(opinion), `<p>${text(opinion.text)}</p>`))
      return html(document('Lanternway', {}, path === '/' ? homePage(home, businesses()) : '<p>No such page.</p>'), path === '/' ? 200 : 404) // oxfmt-ignore
    },
  }
}

const homePage = (home: string, businesses: Business[]) =>
  `<h1>Lanternway</h1><form action="${home}/search"><input name="q"></form>${businesses
    .map((one) => `<p><a href="${home}/place/${one.id}/${slug(one.name)}">${text(one.name)}</a></p>`)
    .join('')}`

function average({ opinions }: Business): string {
  const rated = opinions.filter(({ rating }) => rating !== null)
  return rated.length === 0
    ? '0'
    : (rated.reduce((sum, one) => sum + one.rating!, 0) / rated.length).toFixed(1)
}

const slug = (name: string) =>
  name
    .toLowerCase()
    .slice(0, 60)
    .replace(/[^a-z0-9]+/g, '-')

function document(title: string, data: unknown, body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${text(title.slice(0, 80))} · Lanternway</title>
<style>body{font:16px/1.5 system-ui;max-width:760px;margin:2rem auto;padding:0 1rem;background:#fbf7ee}article{border-top:1px solid #d8cfb8}</style>
<script type="application/ld+json">${JSON.stringify(data).replace(/</g, '\\u003c')}</script></head><body>${body}</body></html>`
}
