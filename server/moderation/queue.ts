import type { Knex } from 'knex'
import { recordOf } from '../../core/formats/keysOf'
import { reviewStates, type ReviewState } from '../../core/moderation/rules'
import { MOST_MATCHES } from '../../core/moderation/searchWords'
import { collapsedInLane, largestGroup, type LargestGroup } from '../data/groups'
import {
  asksForWordsAlone,
  collapsesGroups,
  hasCounters,
  wholeLane,
  type LaneFilter,
} from '../data/laneFilter'
import { groupsInLane, laneCounts, showableCount, unconfirmedCount } from '../data/reviewCounts'
import {
  chosenInLane,
  countUpTo,
  neighbourInLane,
  oldestUndecided,
  reviewsInLane,
  type ReviewLine,
} from '../data/reviewLists'
import { findReview } from '../data/reviewReading'
import type { Shop } from '../data/shops'
import { tagsOfReviews } from '../data/tags'
import type { Services } from '../services'
import { productChoices, type ProductChoices } from '../collection/productChoices'
import { COUNT_LIMIT, countOf, facetsOf, laneGroups, type Facets } from './facets'
import { rarestOf } from './rarestOf'

/** The state of the queue and the matches of a filter in one lane. */
interface QueueView {
  counts: Record<ReviewState, number>
  /** Held back only because the address is not confirmed: nobody needs to decide. */
  unconfirmed: number
  ready: number
  oldest: { publicId: string; state: ReviewState; receivedAt: string } | null
  lines: (ReviewLine & { tags: string[] })[]
  /** The largest group. */
  largest: LargestGroup | null
  /** How many are collapsed behind another of their group. */
  collapsed: number
  /** The number of matches; up to `COUNT_LIMIT` if they have to be counted one by one. */
  total: number
  totalIsLeast: boolean
  /** How many reviews of each list have the words, up to `MOST_MATCHES`; null unless the filter asks for words alone. */
  matches: Record<ReviewState, number> | null
  facets: Facets
  /** Those that filters and fields offer. */
  products: ProductChoices
}

/** @param named the SKU of the product that the filter asks for */
export async function queueView(
  { db }: Services,
  shop: Shop,
  filter: LaneFilter,
  limit: number,
  named?: string,
): Promise<QueueView> {
  const groups = await laneGroups(db, shop.id, filter)
  const rarest = await rarestOf(db, shop, filter, groups)
  const products = await productChoices(db, shop.id, { named: named ? [named] : [] })
  const listed = [0, ...products.products.map(({ id }) => id)]
  const lines = await reviewsInLane(db, shop.id, filter, rarest, limit)
  const tags = await tagsOfReviews(
    db,
    shop.id,
    lines.map(({ id }) => id),
  )
  const counted = hasCounters(filter)
    ? countOf(groups, filter)
    : await countUpTo(db, shop.id, filter, rarest, COUNT_LIMIT + 1)
  return {
    counts: await laneCounts(db, shop.id),
    unconfirmed: await unconfirmedCount(db, shop.id),
    ready: await showableCount(db, shop.id),
    oldest: (await oldestUndecided(db, shop.id)) ?? null,
    largest: await largestGroup(db, shop.id),
    collapsed: collapsesGroups(filter) ? await collapsedInLane(db, shop.id, filter.state) : 0,
    lines: lines.map((line) => ({ ...line, tags: tags.get(line.id) ?? [] })),
    total: hasCounters(filter) ? counted : Math.min(counted, COUNT_LIMIT),
    totalIsLeast: !hasCounters(filter) && counted > COUNT_LIMIT,
    matches:
      filter.words !== null && asksForWordsAlone(filter)
        ? await matchesInLists(db, shop.id, filter.words)
        : null,
    facets: facetsOf(groups, await groupsInLane(db, shop.id, filter.state, listed), filter),
    products,
  }
}

/**
 * How many reviews of each list have some words, up to `MOST_MATCHES`.
 * @param words an FTS5 query
 */
export async function matchesInLists(
  db: Knex,
  shopId: number,
  words: string,
): Promise<Record<ReviewState, number>> {
  const counts = recordOf(reviewStates, () => 0)
  for (const state of reviewStates) {
    // The full-text index leads, as nothing else is asked for.
    counts[state] = await countUpTo(db, shopId, { ...wholeLane(state), words }, null, MOST_MATCHES)
  }
  return counts
}

/** The first match of a filter. */
export async function firstInLane({ db }: Services, shop: Shop, filter: LaneFilter): Promise<string | null> {
  const rarest = await rarestOf(db, shop, filter)
  return (await chosenInLane(db, shop.id, filter, rarest, 1))[0]?.publicId ?? null
}

/** The most reviews of one bulk action. */
export const ALL_AT_ONCE = 2000

/**
 * The matches of a filter for a bulk action: the first `ALL_AT_ONCE` in its order.
 * @param seenAt when the member looked; later arrivals are left out
 */
export async function allInLane({ db }: Services, shop: Shop, asked: LaneFilter, seenAt: string) {
  const before = asked.before !== null && asked.before < seenAt ? asked.before : seenAt
  const filter = { ...asked, before }
  return chosenInLane(db, shop.id, filter, await rarestOf(db, shop, filter), ALL_AT_ONCE)
}

/** The reviews before and after one in its lane. */
export async function neighbours(
  { db }: Services,
  shop: Shop,
  filter: LaneFilter,
  reviewId: number,
): Promise<{ after: { publicId: string; authorName: string } | null; before: { publicId: string } | null }> {
  const rarest = await rarestOf(db, shop, filter)
  return {
    after: (await neighbourInLane(db, shop.id, filter, rarest, reviewId, 'after')) ?? null,
    before: (await neighbourInLane(db, shop.id, filter, rarest, reviewId, 'before')) ?? null,
  }
}

/** The lane to open by default: the review's own, otherwise waiting or held back, whichever has reviews. */
export async function laneToOpen(
  { db }: Services,
  shop: Shop,
  publicId: string | null,
): Promise<ReviewState> {
  const review = publicId === null ? null : await findReview(db, shop.id, { publicId })
  if (review) return review.state
  const { waiting, held } = await laneCounts(db, shop.id)
  return waiting === 0 && held > 0 ? 'held' : 'waiting'
}
