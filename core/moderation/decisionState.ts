import { z } from 'zod'
import { storedStates } from './rules'

/** The parts of a review that people decide on. An entry in the log has the state before and after. */
export const decisionStateSchema = z.object({
  state: z.enum(storedStates),
  /** The latest version, which members decide on. */
  versionId: z.number(),
  /** Whether visitors may read it. */
  showable: z.boolean(),
  publishedVersionId: z.number().nullable(),
  publishedAt: z.string().nullable(),
  declineReasonId: z.number().nullable(),
  productId: z.number().nullable(),
  replyId: z.number().nullable(),
  /** The current evidence of a purchase. */
  verificationId: z.number().nullable(),
  tagIds: z.array(z.number()),
  /** Hidden photos. */
  declinedPhotoIds: z.array(z.number()),
  /** Files that show what the customer said. */
  evidenceIds: z.array(z.number()),
})
export type DecisionState = z.infer<typeof decisionStateSchema>
export type DecisionPart = keyof DecisionState

const parts = Object.keys(decisionStateSchema.shape) as DecisionPart[]
const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** Older entries lack parts that were added later; those did not change. */
export function changedParts(before: Partial<DecisionState>, after: Partial<DecisionState>): DecisionPart[] {
  return parts.filter((part) => part in after && !same(before[part] ?? null, after[part]))
}

const setParts = ['tagIds', 'declinedPhotoIds', 'evidenceIds'] as const satisfies DecisionPart[]
export const isSetPart = (part: DecisionPart): boolean => (setParts as readonly DecisionPart[]).includes(part)

/** Reverts an act and keeps later changes of other parts. Of tags, photos and evidence, only those that the act changed. */
export function revertChange(
  act: { before: Partial<DecisionState>; after: Partial<DecisionState> },
  now: DecisionState,
): DecisionState {
  const changed = changedParts(act.before, act.after)
  const restored = Object.fromEntries(
    changed.filter((part) => !isSetPart(part)).map((part) => [part, act.before[part] ?? null]),
  ) as Partial<DecisionState>
  const sets = setParts
    .filter((part) => changed.includes(part))
    .map((part) => [part, revertSet(act.before[part] ?? [], act.after[part] ?? [], now[part])])
  return { ...now, ...restored, ...(Object.fromEntries(sets) as Partial<DecisionState>) }
}

function revertSet(had: number[], got: number[], now: number[]): number[] {
  const kept = now.filter((id) => !got.includes(id) || had.includes(id))
  return [...new Set([...kept, ...had.filter((id) => !got.includes(id))])].sort((a, b) => a - b)
}
