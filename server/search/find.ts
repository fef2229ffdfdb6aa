import { may } from '../../core/account/permissions'
import { normalizedWords, normalizeText } from '../../core/formats/normalizeText'
import { foundExcerpt } from '../../core/moderation/foundExcerpt'
import type { ReviewState } from '../../core/moderation/rules'
import { fullTextQuery } from '../../core/moderation/searchWords'
import { namesOfDisplays } from '../data/displays'
import { namesOfForms } from '../data/forms'
import { namesOfListings } from '../data/listings'
import { searchProducts } from '../data/products'
import { customersAt, customersNamed, latestWith, reviewsOfCustomer } from '../data/search'
import type { MemberShop } from '../data/shops'
import type { Services } from '../services'
import { matchesInLists } from '../moderation/queue'

/** Of each kind. */
const MOST_FOUND = 5
/** Letters of an address. */
const SHORTEST_ADDRESS = 3

/** What a search over everything found, a few of each kind. Members see only what their role may open. */
export interface Found {
  /** How many reviews each list has with these words, up to `MOST_MATCHES`. */
  lists: Record<ReviewState, number> | null
  /** In any list, latest first. */
  reviews: { key: string; state: ReviewState; author: string; text: string; receivedAt: string }[]
  /** With their latest review, and how many they wrote. */
  customers: { key: string; name: string; address: string; count: number }[]
  products: { key: string; title: string; sku: string }[]
  forms: { key: string; name: string }[]
  displays: { key: string; name: string }[]
  listings: { key: string; name: string; site: string }[]
}

export async function find({ db }: Services, shop: MemberShop, typed: string): Promise<Found> {
  const words = fullTextQuery(typed)
  const ifMay = async <T>(isPermitted: boolean, search: () => Promise<T[]>): Promise<T[]> =>
    isPermitted && words !== null ? search() : []
  return {
    lists: words === null ? null : await matchesInLists(db, shop.id, words),
    reviews: await ifMay(true, () => reviewsWith({ db }, shop, words!, typed)),
    customers: await ifMay(may(shop.role, 'settings'), () => customersWith({ db }, shop, words!, typed)),
    products: await ifMay(may(shop.role, 'products'), async () =>
      (await searchProducts(db, shop.id, { words: typed, limit: MOST_FOUND })).map(
        ({ publicId, title, sku }) => ({ key: publicId, title, sku }),
      ),
    ),
    forms: await ifMay(may(shop.role, 'settings'), async () => named(await namesOfForms(db, shop.id), typed)),
    displays: await ifMay(may(shop.role, 'displays'), async () =>
      named(await namesOfDisplays(db, shop.id), typed),
    ),
    listings: await ifMay(may(shop.role, 'imports'), async () =>
      named(await namesOfListings(db, shop.id), typed),
    ),
  }
}

async function reviewsWith(
  { db }: Pick<Services, 'db'>,
  shop: MemberShop,
  words: string,
  typed: string,
): Promise<Found['reviews']> {
  const found = await latestWith(db, shop.id, words, MOST_FOUND)
  return found.map(({ publicId, state, authorName, title, body, receivedAt }) => ({
    key: publicId,
    state,
    author: authorName,
    text: foundExcerpt([title, body].filter(Boolean).join('. '), typed),
    receivedAt,
  }))
}

async function customersWith(
  { db }: Pick<Services, 'db'>,
  shop: MemberShop,
  words: string,
  typed: string,
): Promise<Found['customers']> {
  const address = typed.trim()
  const known = new Map(
    [
      ...(address.length >= SHORTEST_ADDRESS ? await customersAt(db, shop.id, address, MOST_FOUND) : []),
      ...(await customersNamed(db, shop.id, words, MOST_FOUND)),
    ].map((customer) => [customer.id, customer]),
  )
  const found: Found['customers'] = []
  for (const customer of [...known.values()].slice(0, MOST_FOUND)) {
    const reviews = await reviewsOfCustomer(db, shop.id, customer.id)
    if (reviews)
      found.push({
        key: reviews.publicId,
        name: reviews.authorName,
        address: customer.address,
        count: reviews.count,
      })
  }
  return found
}

/** Those whose name has all words, in any order. */
function named<T extends { name: string }>(all: T[], typed: string): T[] {
  const words = normalizedWords(typed)
  const has = ({ name }: T) => {
    const plain = normalizeText(name)
    return words.every((word) => plain.includes(word))
  }
  return all.filter(has).slice(0, MOST_FOUND)
}
