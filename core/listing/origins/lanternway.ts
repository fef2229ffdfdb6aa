import { z } from 'zod'
import type { Business, OriginAdapter, OriginAnswer, OriginReview, Suggestion } from '../originAdapter'
import { OriginRefusal } from '../originRefusal'
import { addressOn } from '../pasted'
import {
  readAs,
  readAverage,
  readCount,
  readLine,
  readMoment,
  readOwnUrl,
  readStructuredPage,
  readText,
} from '../readAnswer'

const SCALE = 5
const placeId = /\bLW[A-Z0-9]{8}\b/i

const placeSchema = z.object({
  '@type': z.literal('LocalBusiness'),
  identifier: z.string().max(40),
  name: z.unknown(),
  address: z.object({ streetAddress: z.unknown().optional() }).optional(),
  url: z.unknown(),
  image: z.unknown().optional(),
  potentialAction: z.object({ target: z.unknown() }).optional(),
  permanentlyClosed: z.boolean().optional(),
  aggregateRating: z.object({ ratingValue: z.unknown(), reviewCount: z.unknown() }).optional(),
  review: z.array(z.unknown()).optional(),
})
const listSchema = z.object({
  '@type': z.literal('ItemList'),
  itemListElement: z.array(z.object({ item: z.unknown() })).max(100),
})
const reviewSchema = z.object({
  '@id': z.string().max(2000),
  author: z.object({ name: z.unknown(), image: z.unknown().optional() }),
  datePublished: z.unknown(),
  name: z.unknown().optional(),
  reviewBody: z.unknown(),
  reviewRating: z.object({ ratingValue: z.unknown() }).optional(),
})

/** A map of businesses: pages with structured data, five steps, pages by number, no key. */
export function lanternway(home: string): OriginAdapter {
  const place = (answer: OriginAnswer) => {
    const page = readStructuredPage(answer)
    if (page.asksToSignIn) throw new OriginRefusal('signedOut')
    const [data] = page.data
    if (data === undefined || !page.isWhole) throw new OriginRefusal('unreadable')
    return { page, found: readAs(placeSchema, data) }
  }

  function review(value: unknown): OriginReview {
    const read = readAs(reviewSchema, value)
    const url = readOwnUrl(read['@id'], home)
    const key = url && /\/review\/([a-z0-9]{4,40})$/i.exec(new URL(url).pathname)?.[1]
    if (!url || !key) throw new OriginRefusal('unreadable')
    return {
      key,
      url,
      authorName: readLine(read.author.name),
      portrait: readOwnUrl(read.author.image, home),
      rating: read.reviewRating ? readAverage(read.reviewRating.ratingValue, SCALE) : null,
      title: readLine(read.name),
      body: readText(read.reviewBody),
      writtenAt: readMoment(read.datePublished),
      likes: null,
      claimsVerified: false,
    }
  }

  const suggestion = (found: z.infer<typeof placeSchema>): Suggestion => ({
    id: found.identifier,
    name: readLine(found.name),
    street: readLine(found.address?.streetAddress),
    average: readAverage(found.aggregateRating?.ratingValue, SCALE),
    count: readCount(found.aggregateRating?.reviewCount),
  })

  return {
    origin: 'lanternway',
    name: 'Lanternway',
    icon: 'M6 1h4v2h2l1 3v7H3V6l1-3h2zm1 6v3h2V7z',
    home,
    scale: SCALE,
    needs: 'nothing',
    callsAs: 'lanternway',
    checkMinutes: 30,
    limits: { callsAMinute: null, newestOnly: null },
    guide: {
      find: [
        'Open Lanternway and look for your business.',
        'Copy the address of its page, with everything that stands behind it.',
        'Paste it here. The name alone works too.',
      ],
      accessKey: [],
    },
    recognise: (text) => {
      const url = addressOn(home, text)
      const post = url && /\/review\/([a-z0-9]{4,40})(?:\/|$)/i.exec(url.pathname)?.[1]
      if (post) return { kind: 'post', id: post }
      const id = placeId.exec(url ? url.pathname + url.search : text.trim())?.[0]
      return id && (url || id.length === text.trim().length)
        ? { kind: 'listing', id: id.toUpperCase() }
        : null
    },
    suggest: (name) => ({
      request: { url: `${home}/search?q=${encodeURIComponent(name)}` },
      read: (answer) => {
        const { data, asksToSignIn } = readStructuredPage(answer)
        if (asksToSignIn) throw new OriginRefusal('signedOut')
        return readAs(listSchema, data[0]).itemListElement.map(({ item }) =>
          suggestion(readAs(placeSchema, item)),
        )
      },
    }),
    describe: (id) => ({
      request: { url: `${home}/place/${encodeURIComponent(id)}` },
      read: (answer): Business => {
        const { found } = place(answer)
        const [latest] = found.review ?? []
        return {
          ...suggestion(found),
          url: readOwnUrl(found.url, home) ?? `${home}/place/${id}`,
          writeUrl: readOwnUrl(found.potentialAction?.target, home),
          picture: readOwnUrl(found.image, home),
          isClosed: found.permanentlyClosed === true,
          latest: latest === undefined ? null : review(latest),
        }
      },
    }),
    page: (id, cursor) => ({
      request: { url: `${home}/place/${encodeURIComponent(id)}?page=${encodeURIComponent(cursor ?? '1')}` },
      read: (answer) => {
        const { page, found } = place(answer)
        if (!found.review) throw new OriginRefusal('unreadable')
        const next = readOwnUrl(page.next, home)
        return {
          reviews: found.review.map(review),
          next: next && new URL(next).searchParams.get('page'),
          count: readCount(found.aggregateRating?.reviewCount),
        }
      },
    }),
    post: (id) => ({
      request: { url: `${home}/review/${encodeURIComponent(id)}` },
      read: (answer) => {
        const { data, asksToSignIn, isWhole } = readStructuredPage(answer)
        if (asksToSignIn) throw new OriginRefusal('signedOut')
        if (!isWhole) throw new OriginRefusal('unreadable')
        return review(data[0])
      },
    }),
  }
}
