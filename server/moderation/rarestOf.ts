import type { Knex } from 'knex'
import { countedIn, hasCounters, listedIn, type LeadingPart, type LaneFilter } from '../data/laneFilter'
import { groupsInLane, type CountedGroup } from '../data/reviewCounts'
import type { Shop } from '../data/shops'
import { countOf, rarestPart } from './facets'

/** Of more reviews than these enough are found soon in the order of the list. */
const MOST_LED = 20_000

/**
 * The most selective part of a filter; null if the list itself is.
 * @param groups the counters of the list, if they are known
 */
export async function rarestOf(
  db: Knex,
  shop: Shop,
  filter: LaneFilter,
  groups?: CountedGroup[],
): Promise<LeadingPart | null> {
  if (countedIn(filter).length === 0 && hasCounters(filter)) return null
  const counters = groups ?? (await groupsInLane(db, shop.id, filter.state))
  const inList = Math.min(countOf(counters, filter), MOST_LED)
  const listed = (await listedIn(db, filter, inList + 1)).toSorted((a, b) => a.count - b.count)[0]
  return listed && listed.count <= inList ? listed.part : rarestPart(counters, filter)
}
