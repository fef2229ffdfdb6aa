import { litMarks } from '../formats/rating'
import { fitting, type Page, type Pickable, type Selection } from './selection'

/** The number of matches for each choice of each part of a selection, with all other parts unchanged. */
export interface PickFacets {
  ratings: Record<number, number>
  products: Record<string, number>
  tags: Record<string, number>
  sources: Record<string, number>
  languages: Record<string, number>
  verified: number
  hasText: number
  /** The current number of matches. */
  all: number
}

export function pickFacets(reviews: Pickable[], selection: Selection, page: Page = {}): PickFacets {
  const without = (free: Partial<Selection>, on: Page = page) =>
    fitting(reviews, { ...selection, pins: [], hand: [], ...free }, on)
  const count = (pool: Pickable[], keysOf: (review: Pickable) => (string | null)[]) => {
    const counts: Record<string, number> = {}
    for (const review of pool)
      for (const key of keysOf(review)) if (key !== null) counts[key] = (counts[key] ?? 0) + 1
    return counts
  }
  return {
    ratings: count(without({ ratings: [1, 2, 3, 4, 5] }), ({ rating }) => [
      rating === null ? null : String(litMarks(rating)),
    ]),
    products: count(without({ products: { kind: 'every' } }, {}), ({ productSku }) => [productSku]),
    tags: count(without({ tags: [] }), ({ tags }) => tags),
    sources: count(without({ sources: [] }), ({ source }) => [source]),
    languages: count(without({ languages: [] }), ({ language }) => [language]),
    verified: without({ verifiedOnly: true }).length,
    hasText: without({ withWords: true }).length,
    all: without({}).length,
  }
}
