import { litMarks } from '../formats/rating'
import type { FacetCount, Facets } from './facets'
import { hasFacetsOf, type Selection } from './selection'

/** The number of matches for each choice of each part of a selection, with all other parts unchanged. */
export interface PickFacets {
  ratings: Record<number, number>
  products: Record<string, number>
  tags: Record<string, number>
  sources: Record<string, number>
  /** By public id. */
  listings: Record<string, number>
  /** By public id. */
  forms: Record<string, number>
  languages: Record<string, number>
  verified: number
  hasText: number
  hasPhoto: number
  /** The current number of matches. */
  all: number
}

/** Counts of reviews by their facets in the scope of a selection, without those that it leaves out. */
export interface CountsToPickFrom {
  /** With any of the selected tags, if it selects any. */
  tagged: FacetCount[]
  /** The same of each product that is offered, whatever the scope. */
  byProduct: FacetCount[]
  /** With each tag that is offered; a review counts for each of its tags. */
  byTag: (FacetCount & { tag: string })[]
}

const anyWay = { sources: [], listings: [], forms: [] }

/** Ignores pins and the order by hand. */
export function pickFacets({ tagged, byProduct, byTag }: CountsToPickFrom, selection: Selection): PickFacets {
  const matching = <C extends Facets>(counts: C[], free: Partial<Selection>) =>
    counts.filter((one) => hasFacetsOf(one, { ...selection, ...free }))
  const sum = (counts: FacetCount[]) => counts.reduce((total, { count }) => total + count, 0)
  const sums = <C extends FacetCount>(counts: C[], keyOf: (one: C) => string | number | null) => {
    const totals: Record<string, number> = {}
    for (const one of counts) {
      const key = keyOf(one)
      if (key !== null) totals[key] = (totals[key] ?? 0) + one.count
    }
    return totals
  }
  return {
    ratings: sums(matching(tagged, { ratings: [1, 2, 3, 4, 5] }), ({ rating }) =>
      rating === null ? null : litMarks(rating),
    ),
    products: sums(matching(byProduct, {}), ({ productSku }) => productSku),
    tags: sums(matching(byTag, {}), ({ tag }) => tag),
    sources: sums(matching(tagged, anyWay), ({ source }) => source),
    listings: sums(matching(tagged, anyWay), ({ listing }) => listing),
    forms: sums(matching(tagged, anyWay), ({ form }) => form),
    languages: sums(matching(tagged, { languages: [] }), ({ language }) => language),
    verified: sum(matching(tagged, { verifiedOnly: true })),
    hasText: sum(matching(tagged, { withWords: true })),
    hasPhoto: sum(matching(tagged, { withPhotos: true })),
    all: sum(matching(tagged, {})),
  }
}
