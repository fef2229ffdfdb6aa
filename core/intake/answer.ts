import { z } from 'zod'

export const ANSWER_LABEL_LIMIT = 80

/** An answer to a question of the shop. */
export const answerSchema = z.object({ label: z.string(), value: z.string() })
export type Answer = z.infer<typeof answerSchema>
