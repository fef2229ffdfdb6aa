import { asksForRatings } from '../curation/selection'
import type { Configuration } from './configuration'

/** One thing that a display selects or orders its reviews by, besides their number and date. */
export type SelectionFact =
  | { by: 'ratings'; ratings: number[] }
  | { by: 'tags'; tags: string[] }
  | { by: 'languages'; languages: string[] }
  | { by: 'sources' | 'verifiedOnly' | 'withWords' | 'leftOut' | 'pins' | 'highest' | 'verified' | 'hand' }

/** What visitors are told of a display's selection; empty when it shows the newest of all. */
export function selectionFacts({ selection }: Pick<Configuration, 'selection'>): SelectionFact[] {
  const { ratings, tags, sources, languages, verifiedOnly, withWords, leftOut, pins, order } = selection
  const facts: (SelectionFact | false)[] = [
    asksForRatings(ratings) && { by: 'ratings', ratings },
    tags.length > 0 && { by: 'tags', tags },
    sources.length > 0 && { by: 'sources' },
    languages.length > 0 && { by: 'languages', languages },
    verifiedOnly && { by: 'verifiedOnly' },
    withWords && { by: 'withWords' },
    leftOut.length > 0 && { by: 'leftOut' },
    pins.length > 0 && { by: 'pins' },
    order !== 'newest' && { by: order },
  ]
  return facts.filter((fact) => fact !== false)
}
