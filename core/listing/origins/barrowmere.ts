import { z } from 'zod'
import type { Business, OriginAdapter, OriginReview, Suggestion } from '../originAdapter'
import { OriginRefusal } from '../originRefusal'
import { addressOn } from '../pasted'
import { readAverage, readCount, readJson, readLine, readMoment, readOwnUrl, readText } from '../readAnswer'

const SCALE = 10

const stallSchema = z.object({
  stall: z.union([z.string().max(40), z.number().int()]).transform(String),
  title: z.unknown(),
  town: z.unknown().optional(),
  score: z.unknown().optional(),
  opinions: z.unknown().optional(),
  banner: z.unknown().optional(),
  page: z.unknown().optional(),
  write: z.unknown().optional(),
  shut: z.boolean().optional(),
})
const opinionSchema = z.object({
  opinion: z.string().regex(/^[\w-]{1,60}$/),
  link: z.unknown(),
  buyer: z.object({ shown: z.unknown(), face: z.unknown().optional() }),
  score: z.unknown().optional(),
  headline: z.unknown().optional(),
  text: z.unknown(),
  at: z.unknown(),
  purchase: z.boolean().optional(),
})

/** A market: JSON, ten steps, an access key, pages by cursor, 30 calls a minute, the newest 50. */
export function barrowmere(home: string): OriginAdapter {
  const call = (path: string, accessKey: string) => ({
    url: `${home}/api/${path}`,
    ...(accessKey && { headers: { 'Barrowmere-Access': accessKey } }),
  })

  const suggestion = (stall: z.infer<typeof stallSchema>): Suggestion => ({
    id: stall.stall,
    name: readLine(stall.title),
    street: readLine(stall.town),
    average: readAverage(stall.score, SCALE),
    count: readCount(stall.opinions),
  })

  function review(opinion: z.infer<typeof opinionSchema>): OriginReview {
    const url = readOwnUrl(opinion.link, home)
    if (!url) throw new OriginRefusal('unreadable')
    return {
      key: opinion.opinion,
      url,
      authorName: readLine(opinion.buyer.shown),
      portrait: readOwnUrl(opinion.buyer.face, home),
      rating: readAverage(opinion.score, SCALE),
      title: readLine(opinion.headline),
      body: readText(opinion.text),
      writtenAt: readMoment(opinion.at),
      likes: null,
      claimsVerified: opinion.purchase === true,
    }
  }

  return {
    origin: 'barrowmere',
    name: 'Barrowmere',
    icon: 'M1 6l2-4h10l2 4-1 1v7H2V7zm4 3v5h6V9z',
    home,
    scale: SCALE,
    needs: 'accessKey',
    callsAs: 'barrowmere',
    checkMinutes: 30,
    limits: { callsAMinute: 30, newestOnly: 50 },
    guide: {
      find: [
        'Open your stall on Barrowmere.',
        'Copy its address, or the number that stands under its name.',
        'Paste it here. The name alone works too.',
      ],
      accessKey: [
        'Sign in on Barrowmere as the holder of the stall.',
        'Choose “Stall tools”, then “Access for helpers”.',
        'Press “New access” and copy what appears. It begins with bw-.',
        'Paste it here. We try it at once.',
      ],
    },
    recognise: (text) => {
      const url = addressOn(home, text)
      const inPath = url && /\/stalls?\/(\d{4,12})\b/.exec(url.pathname)?.[1]
      const id =
        inPath ??
        url?.searchParams.get('stall') ??
        /^(?:stall\s*(?:no\.?|#)?\s*|#)(\d{4,12})$/i.exec(text.trim())?.[1]
      return id && /^\d{4,12}$/.test(id) ? { kind: 'listing', id } : null
    },
    suggest: (name, accessKey) => ({
      request: call(`stalls?title=${encodeURIComponent(name)}`, accessKey),
      read: (answer) =>
        readJson(answer, z.object({ stalls: z.array(stallSchema).max(100) })).stalls.map(suggestion),
    }),
    describe: (id, accessKey) => ({
      request: call(`stalls/${encodeURIComponent(id)}`, accessKey),
      read: (answer): Business => {
        const { newest, ...stall } = readJson(answer, stallSchema.extend({ newest: opinionSchema.nullish() }))
        return {
          ...suggestion(stall),
          url: readOwnUrl(stall.page, home) ?? `${home}/stall/${id}`,
          writeUrl: readOwnUrl(stall.write, home),
          picture: readOwnUrl(stall.banner, home),
          isClosed: stall.shut === true,
          latest: newest ? review(newest) : null,
        }
      },
    }),
    page: (id, cursor, accessKey) => ({
      request: call(
        `stalls/${encodeURIComponent(id)}/opinions${cursor ? `?after=${encodeURIComponent(cursor)}` : ''}`,
        accessKey,
      ),
      read: (answer) => {
        const page = readJson(
          answer,
          z.object({
            opinions: z.array(opinionSchema).max(200),
            after: z.string().max(200).nullable(),
            total: z.number().int().min(0),
          }),
        )
        return { reviews: page.opinions.map(review), next: page.after, count: page.total }
      },
    }),
    post: null,
  }
}
