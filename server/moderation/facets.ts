import { countedIn, countedParts, type CountedPart, type LaneFilter } from '../data/laneFilter'
import type { CountedGroup } from '../data/reviewCounts'

/** Matches that the counters can't tell are counted one by one, up to this. */
export const COUNT_LIMIT = 300

/** The number of matches for each choice of each filter, with all other filters unchanged. */
export type Facets = Record<CountedPart, Record<string, number>>

/** The counters store true and false as 1 and 0. */
const keyOf = (value: string | number | boolean) => String(typeof value === 'boolean' ? Number(value) : value)

/** Adds up the counters of a lane. */
export function facetsOf(groups: CountedGroup[], filter: LaneFilter): Facets {
  const asked = countedIn(filter)
  const facets = Object.fromEntries(countedParts.map((part) => [part, {}])) as Facets
  for (const group of groups) {
    const missed = asked.filter(({ part, value }) => keyOf(group[part]) !== keyOf(value))
    if (missed.length > 1) continue
    // A count that fails only one filter belongs to another choice of that filter.
    for (const part of missed[0] ? [missed[0].part] : countedParts) {
      const choice = keyOf(group[part])
      facets[part][choice] = (facets[part][choice] ?? 0) + group.count
    }
  }
  return facets
}

/** The number of matches of the counted filters. */
export function countOf(groups: CountedGroup[], filter: LaneFilter): number {
  const asked = countedIn(filter)
  return groups
    .filter((group) => asked.every(({ part, value }) => keyOf(group[part]) === keyOf(value)))
    .reduce((sum, { count }) => sum + count, 0)
}

/** The most selective filter; null without filters. */
export function rarestPart(groups: CountedGroup[], filter: LaneFilter): CountedPart | null {
  const counts = countedIn(filter).map(({ part, value }) => ({
    part,
    count: groups.reduce((sum, group) => sum + (keyOf(group[part]) === keyOf(value) ? group.count : 0), 0),
  }))
  return counts.toSorted((a, b) => a.count - b.count)[0]?.part ?? null
}
