import { z } from 'zod'

export const MOVE_REVIEWS = 'moveReviews'

/** What the job is told. */
export const moveReviewsSchema = z.object({
  /** The change that merged two products. */
  change: z.number().int(),
  /** Whether the merge was undone. */
  back: z.boolean(),
})
export type MoveReviews = z.infer<typeof moveReviewsSchema>
