import { z } from 'zod'
import { sources } from '../intake/sourcePolicy'
import { reviewStates } from './rules'

export const reviewSorts = ['newest', 'oldest', 'lowest', 'highest', 'suspicious'] as const
export type ReviewSort = (typeof reviewSorts)[number]

/** Stands for the shop in general in place of a SKU. */
export const WHOLE_SHOP = '-'

const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/)
const yesNo = z.enum(['yes', 'no'])

/** The filter of the queue. Missing parts filter nothing; a rating is 1 to 5, or 0 for none. */
export const reviewFilterSchema = z.object({
  lane: z.enum(reviewStates).optional().catch(undefined),
  rating: z.coerce.number().int().min(0).max(5).optional().catch(undefined),
  product: z.string().max(100).optional().catch(undefined),
  source: z.enum(sources).optional().catch(undefined),
  language: z
    .string()
    .regex(/^([a-z]{2,3}|-)$/)
    .optional()
    .catch(undefined),
  bought: yesNo.optional().catch(undefined),
  words: yesNo.optional().catch(undefined),
  needsReply: yesNo.optional().catch(undefined),
  tag: z.string().min(1).max(60).optional().catch(undefined),
  /** The public id of a form. */
  form: z.string().max(40).optional().catch(undefined),
  /** The id of a question and an answer to it, as `ID:ANSWER`. */
  answer: z
    .string()
    .max(200)
    .regex(/^[a-z0-9]+:./)
    .optional()
    .catch(undefined),
  media: z.enum(['photo', 'video']).optional().catch(undefined),
  from: day.optional().catch(undefined),
  to: day.optional().catch(undefined),
  q: z.string().trim().min(1).max(200).optional().catch(undefined),
  sort: z.enum(reviewSorts).optional().catch(undefined),
})
export type ReviewFilter = z.infer<typeof reviewFilterSchema>
export type FilterPart = Exclude<keyof ReviewFilter, 'lane'>

/** The parts of a filter, in the order of the sentence. */
const filterParts = [
  'rating',
  'product',
  'source',
  'language',
  'bought',
  'words',
  'needsReply',
  'tag',
  'form',
  'answer',
  'media',
  'from',
  'to',
  'q',
] as const satisfies FilterPart[]

export function isNarrowed(filter: ReviewFilter): boolean {
  return filterParts.some((part) => filter[part] !== undefined)
}
