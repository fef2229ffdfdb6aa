import { z } from 'zod'

/** Who can write through a form: anyone, anyone who confirms an email address, or verified buyers. */
export const writersSchema = z.enum(['anyone', 'confirmed', 'buyers'])
export type Writers = z.infer<typeof writersSchema>
export const writersChoices = writersSchema.options
