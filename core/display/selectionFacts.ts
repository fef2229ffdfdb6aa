import { asksForRatings } from '../curation/selection'
import type { SelectionOrder } from '../curation/selectionOrders'
import type { Configuration } from './configuration'

/** A criterion of a selection or order, other than its number. */
export type SelectionFact =
  | { by: 'ratings'; ratings: number[] }
  | { by: 'tags'; tags: string[] }
  | { by: 'languages'; languages: string[] }
  | { by: 'sources' | 'verifiedOnly' | 'withWords' | 'withPhotos' | 'written' | 'leftOut' | 'pins' }
  | { by: Exclude<SelectionOrder, 'newest'> }

/** The criteria that visitors are told; empty for a display of the newest reviews. */
export function selectionFacts({ selection }: Pick<Configuration, 'selection'>): SelectionFact[] {
  const { ratings, tags, sources, listings, forms, languages, leftOut, pins, order } = selection
  const facts: (SelectionFact | false)[] = [
    asksForRatings(ratings) && { by: 'ratings', ratings },
    tags.length > 0 && { by: 'tags', tags },
    sources.length + listings.length + forms.length > 0 && { by: 'sources' },
    languages.length > 0 && { by: 'languages', languages },
    selection.verifiedOnly && { by: 'verifiedOnly' },
    selection.withWords && { by: 'withWords' },
    selection.withPhotos && { by: 'withPhotos' },
    selection.writtenFrom + selection.writtenUntil !== '' && { by: 'written' },
    leftOut.length > 0 && { by: 'leftOut' },
    pins.length > 0 && { by: 'pins' },
    order !== 'newest' && { by: order },
  ]
  return facts.filter((fact) => fact !== false)
}
