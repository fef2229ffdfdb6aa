import { z } from 'zod'
import { MOST_SHOWN } from '../curation/selectionOrders'
import { frames, MOST_COLUMNS, textParts } from './choices'
import { switchedParts } from './reviewParts'
import { cardSchema, textStyleSchema } from './themeSchema'

/** What differs in a band; missing values are as everywhere. */
export const bandSchema = z.object({
  columns: z.number().int().min(1).max(MOST_COLUMNS).optional(),
  limit: z.number().int().min(1).max(MOST_SHOWN).optional(),
  density: z.number().int().min(40).max(200).optional(),
  frame: z.enum(frames).optional(),
  card: cardSchema.optional(),
  texts: z.partialRecord(z.enum(textParts), textStyleSchema).default({}),
  hidden: z.array(z.enum(switchedParts)).default([]),
})
export type BandChanges = z.infer<typeof bandSchema>
