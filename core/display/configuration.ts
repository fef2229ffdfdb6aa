import { z } from 'zod'
import { selectionSchema } from '../curation/selection'

export const layouts = ['list', 'grid'] as const
export type Layout = (typeof layouts)[number]
export const DISPLAY_TITLE_LIMIT = 120

/** Everything that one version of a display says. `schema` numbers this shape, so that older ones can be read. */
export const configurationSchema = z.object({
  schema: z.literal(1),
  title: z.string().max(DISPLAY_TITLE_LIMIT),
  selection: selectionSchema,
  layout: z.enum(layouts),
})
export type Configuration = z.infer<typeof configurationSchema>

export const startingConfiguration: Configuration = {
  schema: 1,
  title: '',
  selection: { limit: 6, lowestRating: 1, order: 'newest' },
  layout: 'grid',
}
