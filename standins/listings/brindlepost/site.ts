import type { Faults } from '../faults'
import { findByName } from '../findByName'
import { manyOpinions } from '../generated'
import { readOpinions } from '../readOpinions'
import { face, html, json, picture, text, type Business, type Opinion, type Site } from '../site'
import { wrenfieldPosts } from './posts'

const PAGE = 30

export const brindlepostBusinesses = (now: Date): Business[] => [
  {
    id: 'wrenfieldbees',
    name: 'Wrenfield Bees',
    street: '',
    opinions: readOpinions(wrenfieldPosts, now, ([likes, days, name, words]) => ({
      likes: Number(likes),
      daysAgo: Number(days),
      name: name!,
      text: words!,
    })),
  },
  { id: 'wrenfield_books', name: 'Wrenfield Books', street: '', opinions: [] },
  {
    ...manyOpinions('quayside', 'Quayside Ropes', 5000, 5, now),
    street: '',
  },
]

/** Short posts about profiles: no rating, likes, pages before a post. */
export function brindlepost(home: string, businesses: () => Business[], on: Faults): Site {
  const postData = (one: Opinion) => ({
    id: one.id,
    by: { called: one.name, picture: one.face ? `${home}/face/${one.id}.svg` : null },
    says: one.text,
    when: one.at,
    likes: one.likes,
  })
  const profileData = (business: Business) => ({
    handle: business.id,
    called: business.name,
    picture: `${home}/face/${business.id}.svg`,
    mentions: business.opinions.length,
    closed: business.closed === true,
  })
  const postWith = (id: string | undefined) =>
    businesses()
      .flatMap(({ opinions }) => opinions)
      .find((one) => one.id === id)

  return {
    home,
    businesses,
    answer: ({ path, query }) => {
      if (/^\/face\/\w+\.svg$/.test(path)) return picture(face(path))
      if (path === '/profiles.json')
        return json(findByName(businesses(), query.get('called') ?? '').map(profileData))
      const [, handle, rest] = /^\/@(\w+?)(\.json|\/mentions\.json)?$/.exec(path) ?? []
      const business = businesses().find(({ id }) => id === handle)
      if (business && rest === '.json') {
        const [newest] = business.opinions
        return json({ ...profileData(business), newest: newest ? postData(newest) : null })
      }
      if (business && rest) {
        const from = on.has('endless')
          ? 0
          : business.opinions.findIndex(({ id }) => id === query.get('before')) + 1
        return json({
          posts: business.opinions.slice(from, from + PAGE).map(postData),
          more: on.has('endless') || from + PAGE < business.opinions.length,
          mentions: business.opinions.length,
        })
      }
      if (business) return page(business.name, business.opinions.slice(0, PAGE))
      const [, id, asJson] = /^\/p\/(\w+?)(\.json)?$/.exec(path) ?? []
      const post = postWith(id)
      if (post) return asJson ? json(postData(post)) : page(post.name, [post])
      return path === '/' ? page('Brindlepost', []) : json({ error: 'Nothing here.' }, 404)
    },
  }
}

const page = (title: string, posts: Opinion[]) =>
  html(
    `<!doctype html><html lang="en"><head><title>${text(title)} · Brindlepost</title><style>body{font:17px/1.4 sans-serif;margin:2rem auto;max-width:520px;background:#f4f1f7}p{background:#fff;padding:1rem}</style></head><body><h1>${text(title)}</h1>${posts
      .map((one) => `<p><b>${text(one.name)}</b> ${text(one.text)} <small>${one.likes} likes</small></p>`)
      .join('')}</body></html>`,
  )
