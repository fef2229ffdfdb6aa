import { countedIn, countedParts, type CountedPart, type LaneFilter } from '../data/laneFilter'
import type { CountedGroup } from '../data/reviewCounts'

/** For each part of a filter, how many each of its choices would let through with all else as it is. */
export type Facets = Record<CountedPart, Record<string, number>>

/** As a key of a choice: true and false are 1 and 0, as the counters hold them. */
const keyOf = (value: string | number | boolean) => String(typeof value === 'boolean' ? Number(value) : value)

/** Adds up a lane's counters into the choices of its filter. */
export function facetsOf(groups: CountedGroup[], filter: LaneFilter): Facets {
  const asked = countedIn(filter)
  const facets = Object.fromEntries(countedParts.map((part) => [part, {}])) as Facets
  for (const group of groups) {
    const missed = asked.filter(({ part, value }) => keyOf(group[part]) !== keyOf(value))
    if (missed.length > 1) continue
    // A group that one part alone keeps out is one of that part's other choices.
    for (const part of missed[0] ? [missed[0].part] : countedParts) {
      const choice = keyOf(group[part])
      facets[part][choice] = (facets[part][choice] ?? 0) + group.count
    }
  }
  return facets
}

/** How many the counted parts of a filter let through. */
export function countOf(groups: CountedGroup[], filter: LaneFilter): number {
  const asked = countedIn(filter)
  return groups
    .filter((group) => asked.every(({ part, value }) => keyOf(group[part]) === keyOf(value)))
    .reduce((sum, { count }) => sum + count, 0)
}

/** The part of a filter that lets the fewest of its lane through, or null when it has none. */
export function rarestPart(groups: CountedGroup[], filter: LaneFilter): CountedPart | null {
  const counts = countedIn(filter).map(({ part, value }) => ({
    part,
    count: groups.reduce((sum, group) => sum + (keyOf(group[part]) === keyOf(value) ? group.count : 0), 0),
  }))
  return counts.toSorted((a, b) => a.count - b.count)[0]?.part ?? null
}
