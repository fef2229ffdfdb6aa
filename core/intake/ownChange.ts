import { z } from 'zod'
import { startingDesign } from '../form/startingDesign'
import { needsRatingOrWords, ownFields } from './submission'

const changeable = ['rating', 'title', 'body', 'author_name', 'media'] as const

/** What a customer can change in her own review. A rating or name that it has can't be removed. */
export function ownChangeSchema(earlier: { rating: number | null; authorName: string }) {
  const design = {
    ...startingDesign,
    rating: { ...startingDesign.rating, required: earlier.rating !== null },
    name: { ...startingDesign.name, required: earlier.authorName !== '' },
  }
  const { rating, title, body, author_name, media } = ownFields({ skus: [], any: false }, design)
  return z.object({ rating, title, body, author_name, media }).superRefine(needsRatingOrWords(design.rating))
}
export const ownChangeFieldNames = ['act', ...changeable]

export type OwnChange = z.infer<ReturnType<typeof ownChangeSchema>>
