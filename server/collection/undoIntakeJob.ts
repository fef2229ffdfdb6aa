import { z } from 'zod'
import { actorSchema } from '../../core/moderation/actor'

export const UNDO_INTAKE = 'undoIntake'

/** What the job is told. */
export const undoIntakeSchema = z.object({
  /** Its public id. */
  intake: z.string(),
  /** Whether what was undone comes back. */
  back: z.boolean(),
  actor: actorSchema,
})
export type UndoIntake = z.infer<typeof undoIntakeSchema>
