import { recordOf } from '../../core/formats/keysOf'
import { countedIn, countedParts, type CountedPart, type LaneFilter } from '../data/laneFilter'
import { groupsInLane, type CountedGroup } from '../data/reviewCounts'
import type { Knex } from 'knex'

/** Matches that the counters can't tell are counted one by one, up to this. */
export const COUNT_LIMIT = 300

/** The number of matches for each choice of each filter, with all other filters unchanged. */
export type Facets = Record<CountedPart, Record<string, number>>

/** The counters of a lane. */
export interface LaneGroups {
  /** All products together. */
  all: CountedGroup[]
  /** Of the product that the filter asks for; the same as `all` without one. */
  ofProduct: CountedGroup[]
}

export async function laneGroups(
  db: Knex,
  shopId: number,
  { state, productId }: Pick<LaneFilter, 'state' | 'productId'>,
): Promise<LaneGroups> {
  const all = await groupsInLane(db, shopId, state, null)
  return { all, ofProduct: productId === null ? all : await groupsInLane(db, shopId, state, [productId]) }
}

/** Choices are named as SQLite stores them. */
const keyOf = (value: string | number | boolean | null) =>
  String(typeof value === 'boolean' ? Number(value) : value)

type Asked = ReturnType<typeof countedIn>[number]
const fits = (group: CountedGroup, { part, value }: Asked) => keyOf(group[part]) === keyOf(value)

/**
 * Adds up the counters of a lane.
 * @param listed the counters of each product that the filter offers
 */
export function facetsOf({ ofProduct }: LaneGroups, listed: CountedGroup[], filter: LaneFilter): Facets {
  const facets: Facets = recordOf(countedParts, () => ({}))
  const add = (part: CountedPart, group: CountedGroup) => {
    const choice = keyOf(group[part])
    facets[part][choice] = (facets[part][choice] ?? 0) + group.count
  }
  const asked = countedIn(filter).filter(({ part }) => part !== 'productId')
  const others = countedParts.filter((part) => part !== 'productId')
  for (const group of ofProduct) {
    const missed = asked.filter((one) => !fits(group, one))
    // A count that fails only one filter belongs to another choice of that filter.
    if (missed.length <= 1) for (const part of missed[0] ? [missed[0].part] : others) add(part, group)
  }
  for (const group of listed) if (asked.every((one) => fits(group, one))) add('productId', group)
  return facets
}

/** The number of matches of the counted filters. */
export function countOf({ ofProduct }: LaneGroups, filter: LaneFilter): number {
  const asked = countedIn(filter).filter(({ part }) => part !== 'productId')
  return sumOf(ofProduct.filter((group) => asked.every((one) => fits(group, one))))
}

const sumOf = (groups: CountedGroup[]) => groups.reduce((sum, { count }) => sum + count, 0)

/** The most selective filter; null without filters. */
export function rarestPart({ all, ofProduct }: LaneGroups, filter: LaneFilter): CountedPart | null {
  const counts = countedIn(filter).map((one) => ({
    part: one.part,
    count: sumOf(one.part === 'productId' ? ofProduct : all.filter((group) => fits(group, one))),
  }))
  return counts.toSorted((a, b) => a.count - b.count)[0]?.part ?? null
}
