import { z } from 'zod'

/** How a member is told of what comes in: each one, once a day, or only what is held back. */
export const toldSchema = z.enum(['each', 'digest', 'held'])
export type Told = z.infer<typeof toldSchema>
export const toldChoices = toldSchema.options

export const digestHourSchema = z.coerce.number().int().min(0).max(23)
