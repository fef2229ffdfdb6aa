import type { Knex } from 'knex'
import type { ReviewState } from '../../core/moderation/rules'
import { foldedInLane, largestGroup, type LargestGroup } from '../data/groups'
import { countedIn, collapsesGroups, hasCounters, type LaneFilter } from '../data/laneFilter'
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
import { countOf, facetsOf, rarestPart, type Facets } from './facets'

/** The state of the queue and what a filter lets through of one lane. */
export interface QueueView {
  counts: Record<ReviewState, number>
  /** Held back for nothing but an open confirmation, which are no work for anybody. */
  unconfirmed: number
  ready: number
  oldest: { publicId: string; state: ReviewState; receivedAt: string } | null
  lines: (ReviewLine & { tags: string[] })[]
  /** The most that came as one, where that is more than one. */
  largest: LargestGroup | null
  /** How many stand behind another of their group, so that the list does not show them. */
  folded: number
  /** How many the filter lets through; no more than `COUNT_LIMIT` where they have to be counted one by one. */
  total: number
  totalIsLeast: boolean
  facets: Facets
}

/** Where the counters cannot say how many there are, counting ends here. */
export const COUNT_LIMIT = 300

export async function queueView(
  { db }: Services,
  shop: Shop,
  filter: LaneFilter,
  limit: number,
): Promise<QueueView> {
  const groups = await groupsInLane(db, shop.id, filter.state)
  const rarest = rarestPart(groups, filter)
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
    folded: collapsesGroups(filter) ? await foldedInLane(db, shop.id, filter.state) : 0,
    lines: lines.map((line) => ({ ...line, tags: tags.get(line.id) ?? [] })),
    total: hasCounters(filter) ? counted : Math.min(counted, COUNT_LIMIT),
    totalIsLeast: !hasCounters(filter) && counted > COUNT_LIMIT,
    facets: facetsOf(groups, filter),
  }
}

/** The first review that a filter lets through. */
export async function firstInLane({ db }: Services, shop: Shop, filter: LaneFilter): Promise<string | null> {
  const rarest = await rarestOf(db, shop, filter)
  return (await chosenInLane(db, shop.id, filter, rarest, 1))[0]?.publicId ?? null
}

async function rarestOf(db: Knex, shop: Shop, filter: LaneFilter) {
  return countedIn(filter).length === 0
    ? null
    : rarestPart(await groupsInLane(db, shop.id, filter.state), filter)
}

/** All that one act can be done to at once. */
export const ALL_AT_ONCE = 2000

/**
 * What a filter lets through, to act on all of it: the first `ALL_AT_ONCE` in its order.
 * @param seenAt when the member looked; what came in since is not meant
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

/** The lane to open when nothing else is asked: the review's own, else waiting or held back, whichever has some. */
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
