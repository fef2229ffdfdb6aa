import { z } from 'zod'
import { reviewStates } from './rules'

/** Everything of a review that people decide on; two of these, before and after, say what an act did. */
export const reviewPointSchema = z.object({
  state: z.enum(reviewStates),
  publishedVersionId: z.number().nullable(),
  publishedAt: z.string().nullable(),
  declineReasonId: z.number().nullable(),
  productId: z.number().nullable(),
  replyId: z.number().nullable(),
  /** The evidence that stands for a purchase. */
  verificationId: z.number().nullable(),
  tagIds: z.array(z.number()),
  /** Photos that visitors don't get to see. */
  declinedPhotoIds: z.array(z.number()),
})
export type ReviewPoint = z.infer<typeof reviewPointSchema>
export type PointPart = keyof ReviewPoint

const parts = Object.keys(reviewPointSchema.shape) as PointPart[]
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The parts that differ between two points. An older entry may lack parts that came later; those did not change. */
export function changedParts(before: Partial<ReviewPoint>, after: Partial<ReviewPoint>): PointPart[] {
  return parts.filter((part) => part in after && !same(before[part] ?? null, after[part]))
}

const setParts = ['tagIds', 'declinedPhotoIds'] as const satisfies PointPart[]
export const isSetPart = (part: PointPart): boolean => (setParts as readonly PointPart[]).includes(part)

/**
 * The point a review comes to when an act is taken back while later acts on other parts stay. Of tags and photos only
 * those are undone that the act put on or took off.
 */
export function takenBack(
  act: { before: Partial<ReviewPoint>; after: Partial<ReviewPoint> },
  now: ReviewPoint,
): ReviewPoint {
  const changed = changedParts(act.before, act.after)
  const restored = Object.fromEntries(
    changed.filter((part) => !isSetPart(part)).map((part) => [part, act.before[part] ?? null]),
  ) as Partial<ReviewPoint>
  const sets = setParts
    .filter((part) => changed.includes(part))
    .map((part) => [part, setBack(act.before[part] ?? [], act.after[part] ?? [], now[part])])
  return { ...now, ...restored, ...(Object.fromEntries(sets) as Partial<ReviewPoint>) }
}

function setBack(had: number[], got: number[], now: number[]): number[] {
  const kept = now.filter((id) => !got.includes(id) || had.includes(id))
  return [...new Set([...kept, ...had.filter((id) => !got.includes(id))])].sort((a, b) => a - b)
}
