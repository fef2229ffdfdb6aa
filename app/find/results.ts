import { writerName } from '../../core/messages/writerName'
import { MOST_MATCHES } from '../../core/moderation/searchWords'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { say } from '../../core/messages/say/find'
import type { Found } from '../../server/search/find'
import { queuePath } from '../decide/address'
import { pagesFor } from './pages'

export interface Result {
  to: string
  title: string
  /** Beside the title. */
  about?: string
  state?: ReviewState
}

export interface ResultGroup {
  name: 'recent' | 'lists' | 'pages' | Exclude<keyof Found, 'lists'>
  results: Result[]
}

export interface Where {
  shop: string
  isOwner: boolean
  /** The list that is open in Decide; null elsewhere. */
  openList: ReviewState | null
}

/** What was found, in the order in which it is shown; those found lately lead their group. */
export function groupsOf(found: Found, typed: string, where: Where, recent: Set<string>): ResultGroup[] {
  const own = `/s/${where.shop}`
  const lists: ResultGroup = { name: 'lists', results: listsWith(found, typed, where) }
  const groups: ResultGroup[] = [
    { name: 'pages', results: pagesFor(where.shop, where.isOwner, typed) },
    {
      name: 'reviews',
      results: found.reviews.map(({ key, state, author, text }) => ({
        to: queuePath(where.shop, key, { lane: state, q: typed }),
        title: writerName(author),
        about: text,
        state,
      })),
    },
    {
      name: 'customers',
      results: found.customers.map(({ key, name, address, count }) => ({
        to: queuePath(where.shop, key, {}),
        title: name,
        about: say('find.reviewsOf', { address, count }),
      })),
    },
    {
      name: 'products',
      results: found.products.map(({ key, title, sku }) => ({
        to: `${own}/gather/products/${key}`,
        title,
        about: sku,
      })),
    },
    {
      name: 'forms',
      results: found.forms.map(({ key, name }) => ({ to: `${own}/gather/forms/${key}`, title: name })),
    },
    {
      name: 'displays',
      results: found.displays.map(({ key, name }) => ({ to: `${own}/show/${key}`, title: name })),
    },
    {
      name: 'listings',
      results: found.listings.map(({ key, name, site }) => ({
        to: `${own}/gather/listings/${key}`,
        title: name,
        about: site,
      })),
    },
  ]
  groups.splice(where.openList ? 0 : 2, 0, lists)
  return groups
    .filter(({ results }) => results.length > 0)
    .map(({ name, results }) => ({
      name,
      results: results.toSorted((a, b) => Number(recent.has(b.to)) - Number(recent.has(a.to))),
    }))
}

/** The lists with matches, the open one first. */
function listsWith({ lists }: Found, typed: string, { shop, openList }: Where): Result[] {
  if (!lists) return []
  return reviewStates
    .filter((state) => lists[state] > 0)
    .toSorted((a, b) => Number(b === openList) - Number(a === openList))
    .map((state) => ({
      to: queuePath(shop, null, { lane: state, q: typed }),
      title: say('find.listed', { lane: say(`state.${state}`), typed }),
      about:
        lists[state] < MOST_MATCHES ? String(lists[state]) : say('find.manyMatches', { count: MOST_MATCHES }),
      state,
    }))
}
