import type { Knex } from 'knex'
import { countedIn, hasCounters, listedIn, type LeadingPart, type LaneFilter } from '../data/laneFilter'
import { countUpTo } from '../data/reviewLists'
import type { Shop } from '../data/shops'
import { COUNT_LIMIT, countOf, laneGroups, rarestPart, type LaneGroups } from './facets'

/**
 * How few reviews a part must let through to lead. It then costs a look at each of them. Leading with the list costs
 * `inList / count` looks for each match that is counted, and such a look takes about a fourth of the time.
 */
const worthLeading = (inList: number) => Math.max(SOON_READ, Math.sqrt((inList * COUNT_LIMIT) / 4))
/** So many are read in 20 ms, even when none of them is in the list. */
const SOON_READ = 5000
/** The full-text index takes a millisecond or more to look into one review. */
const WORTH_LEADING_WITH_WORDS = 30

/**
 * The most selective part of a filter; null if the list itself is.
 * @param groups the counters of the list, if they are known
 */
export async function rarestOf(
  db: Knex,
  shop: Shop,
  filter: LaneFilter,
  groups?: LaneGroups,
): Promise<LeadingPart | null> {
  if (countedIn(filter).length === 0 && hasCounters(filter)) return null
  const counters = groups ?? (await laneGroups(db, shop.id, filter))
  if (filter.words !== null) {
    const wordless: LaneFilter = { ...filter, words: null }
    const rarest = await rarestOf(db, shop, wordless, counters)
    const count = await countUpTo(db, shop.id, wordless, rarest, WORTH_LEADING_WITH_WORDS + 1)
    return count <= WORTH_LEADING_WITH_WORDS ? rarest : null
  }
  const inList = countOf(counters, filter)
  const most = Math.min(inList, worthLeading(inList))
  const listed = (await listedIn(db, filter, Math.floor(most) + 1)).toSorted((a, b) => a.count - b.count)[0]
  return listed && listed.count <= most ? listed.part : rarestPart(counters, filter)
}
