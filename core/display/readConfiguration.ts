import { z } from 'zod'
import { configurationSchema, type Configuration } from './configuration'
import { startingConfiguration } from './startingConfiguration'

/** Schema 1: a limit, a lowest rating, two orders and two layouts. */
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

/** Schema 2 used other names for `theme` and `background`. */
const second = z.looseObject({
  schema: z.literal(2),
  dress: z.looseObject({ ground: z.string() }),
})

/** Reads stored JSON of any schema as the current one. Null if it is invalid, or of a later schema. */
export function readConfiguration(json: string): Configuration | null {
  try {
    return converted(JSON.parse(json))
  } catch (error) {
    if (error instanceof z.ZodError || error instanceof SyntaxError) return null
    throw error
  }
}

function converted(stored: unknown): Configuration {
  const oldest = first.safeParse(stored)
  if (oldest.success) return fromFirst(oldest.data)
  const older = second.safeParse(stored)
  return configurationSchema.parse(older.success ? fromSecond(older.data) : stored)
}

function fromSecond({ dress: { ground, ...theme }, ...others }: z.infer<typeof second>): unknown {
  const background = { paper: 'light', ink: 'dark' }[ground] ?? ground
  return { ...others, schema: 3, theme: { ...theme, background } }
}

function fromFirst({ title, selection, layout }: z.infer<typeof first>): Configuration {
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
