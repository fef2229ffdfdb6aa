import { z } from 'zod'

/** The height of a display in a box of a width, in CSS pixels. */
const measureSchema = z.object({ width: z.number().min(1), height: z.number().min(0) })
export const measuresSchema = z.array(measureSchema).max(80)
export type Measure = z.infer<typeof measureSchema>
