import { z } from 'zod'

export const ANSWER_LABEL_LIMIT = 80

/** An answer to a question of the shop. */
export const answerSchema = z.object({
  /** The question as it was asked. Columns of sheets are known by it alone. */
  label: z.string(),
  /** As text: a date is `YYYY-MM-DD`, a step of a scale `4/5`, several choices stand on lines of their own. */
  value: z.string(),
  /** The id of a form's question. */
  question: z.string().optional(),
  /** Whether it was given to the shop alone. Visitors never get it, whatever the question says later. */
  private: z.literal(true).optional(),
})
export type Answer = z.infer<typeof answerSchema>
