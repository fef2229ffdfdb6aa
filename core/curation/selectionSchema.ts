import { z } from 'zod'
import { sources } from '../intake/sourcePolicy'
import { MOST_SHOWN, selectionOrders } from './selectionOrders'

const MOST_NAMED = 500

const publicId = z.string().min(1).max(40)
/** `YYYY-MM-DD`. */
const day = z.union([z.literal(''), z.iso.date()])
const named = z.array(z.string().min(1).max(100)).max(MOST_NAMED)

/** Empty lists do not restrict the selection. */
export const selectionSchema = z.object({
  limit: z.number().int().min(1).max(MOST_SHOWN),
  /** 1 to 5, ascending; all five include reviews without a rating. */
  ratings: z
    .array(z.number().int().min(1).max(5))
    .min(1)
    .transform((marks) => [...new Set(marks)].toSorted((a, b) => a - b)),
  /** `page` is the product of the embed code, or all products. Products are SKUs. */
  products: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('every') }),
    z.object({ kind: z.literal('page') }),
    z.object({ kind: z.literal('chosen'), skus: named.min(1) }),
  ]),
  tags: named,
  sources: z.array(z.enum(sources)),
  /** Public ids of listings on other sites, beside the sources. */
  listings: named.default([]),
  /** Public ids of forms, beside the sources. */
  forms: named.default([]),
  languages: z.array(z.string().min(2).max(3)).max(MOST_NAMED),
  verifiedOnly: z.boolean(),
  withWords: z.boolean(),
  withPhotos: z.boolean().default(false),
  /** The first and the last day, in the shop's time zone; empty for an open end. */
  writtenFrom: day.default(''),
  writtenUntil: day.default(''),
  order: z.enum(selectionOrders),
  /** Fixed positions, counted from 0. */
  pins: z.array(z.object({ review: publicId, at: z.number().int().min(0).max(MOST_SHOWN) })).max(MOST_SHOWN),
  leftOut: z.array(publicId).max(MOST_NAMED),
  /** The other reviews follow, newest first. */
  hand: z.array(publicId).max(MOST_NAMED),
})
export type Selection = z.infer<typeof selectionSchema>
