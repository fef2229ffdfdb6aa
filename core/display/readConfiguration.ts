import { z } from 'zod'
import { configurationSchema, type Configuration } from './configuration'
import { startingConfiguration } from './startingConfiguration'

/** The first shape: a number, a lowest rating, two orders and two layouts. */
const first = z.object({
  schema: z.literal(1),
  title: z.string(),
  selection: z.object({
    limit: z.number(),
    lowestRating: z.number(),
    order: z.enum(['newest', 'highest']),
  }),
  layout: z.enum(['list', 'grid']),
})

/**
 * Reads a configuration of any shape there has been, as the newest one.
 * @throws ZodError when it is none
 */
export function readConfiguration(stored: unknown): Configuration {
  const old = first.safeParse(stored)
  if (!old.success) return configurationSchema.parse(stored)
  const { title, selection, layout } = old.data
  const { limit, lowestRating, order } = selection
  return configurationSchema.parse({
    ...startingConfiguration,
    title,
    selection: {
      ...startingConfiguration.selection,
      limit,
      order,
      ratings: [1, 2, 3, 4, 5].filter((mark) => mark >= lowestRating),
    },
    layout: { ...startingConfiguration.layout, kind: layout },
  })
}
