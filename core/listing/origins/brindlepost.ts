import { z } from 'zod'
import type { OriginAdapter, OriginReview } from '../originAdapter'
import { OriginRefusal } from '../originRefusal'
import { addressOn } from '../pasted'
import { readCount, readJson, readLine, readMoment, readOwnUrl, readText } from '../readAnswer'

const profileSchema = z.object({
  handle: z.string().regex(/^[a-z0-9_]{2,40}$/),
  called: z.unknown(),
  picture: z.unknown().optional(),
  mentions: z.unknown().optional(),
  closed: z.boolean().optional(),
})
const postSchema = z.object({
  id: z.string().regex(/^[a-z0-9]{4,40}$/),
  by: z.object({ called: z.unknown(), picture: z.unknown().optional() }),
  says: z.unknown(),
  when: z.unknown(),
  likes: z.unknown().optional(),
})

/** Short posts about a profile: no rating, likes, pages before a post. */
export function brindlepost(home: string): OriginAdapter {
  const profile = (found: z.infer<typeof profileSchema>) => ({
    id: found.handle,
    name: readLine(found.called),
    street: '',
    average: null,
    count: readCount(found.mentions),
  })

  function post(found: z.infer<typeof postSchema>): OriginReview {
    const writtenAt = readMoment(found.when)
    if (writtenAt === null) throw new OriginRefusal('unreadable')
    return {
      key: found.id,
      url: `${home}/p/${found.id}`,
      authorName: readLine(found.by.called),
      portrait: readOwnUrl(found.by.picture, home),
      rating: null,
      title: '',
      body: readText(found.says),
      writtenAt,
      likes: readCount(found.likes),
      claimsVerified: false,
    }
  }

  return {
    origin: 'brindlepost',
    name: 'Brindlepost',
    icon: 'M2 2h12v9H8l-4 4v-4H2zm3 3v1h6V5zm0 2v1h4V7z',
    home,
    scale: null,
    needs: 'nothing',
    callsAs: 'brindlepost',
    checkMinutes: 30,
    limits: { callsAMinute: 120, newestOnly: null },
    guide: {
      find: [
        'Open your profile on Brindlepost, or a single post about you.',
        'Copy its address.',
        'Paste it here. A profile brings in all posts that mention you, a post only itself.',
      ],
      accessKey: [],
    },
    recognise: (text) => {
      const url = addressOn(home, text)
      const id = url && /\/p\/([a-z0-9]{4,40})(?:\/|$)/.exec(url.pathname)?.[1]
      if (id) return { kind: 'post', id }
      const handle = url
        ? /\/@([a-z0-9_]{2,40})(?:\/|$)/i.exec(url.pathname)?.[1]
        : /^@([a-z0-9_]{2,40})$/i.exec(text.trim())?.[1]
      return handle ? { kind: 'listing', id: handle.toLowerCase() } : null
    },
    suggest: (name) => ({
      request: { url: `${home}/profiles.json?called=${encodeURIComponent(name)}` },
      read: (answer) => readJson(answer, z.array(profileSchema).max(100)).map(profile),
    }),
    describe: (id) => ({
      request: { url: `${home}/@${encodeURIComponent(id)}.json` },
      read: (answer) => {
        const { newest, ...found } = readJson(answer, profileSchema.extend({ newest: postSchema.nullish() }))
        return {
          ...profile(found),
          url: `${home}/@${id}`,
          writeUrl: null,
          picture: readOwnUrl(found.picture, home),
          isClosed: found.closed === true,
          latest: newest ? post(newest) : null,
        }
      },
    }),
    page: (id, cursor) => ({
      request: {
        url: `${home}/@${encodeURIComponent(id)}/mentions.json${cursor ? `?before=${encodeURIComponent(cursor)}` : ''}`,
      },
      read: (answer) => {
        const { posts, more, mentions } = readJson(
          answer,
          z.object({
            posts: z.array(postSchema).max(200),
            more: z.boolean(),
            mentions: z.number().int().min(0),
          }),
        )
        return { reviews: posts.map(post), next: more ? (posts.at(-1)?.id ?? null) : null, count: mentions }
      },
    }),
    post: (id) => ({
      request: { url: `${home}/p/${encodeURIComponent(id)}.json` },
      read: (answer) => post(readJson(answer, postSchema)),
    }),
  }
}
