import { z } from 'zod'

/** How high a display is in a box of a width, both in CSS pixels. */
const measureSchema = z.object({ width: z.number().min(1), height: z.number().min(0) })
export const measuresSchema = z.array(measureSchema).max(80)
export type Measure = z.infer<typeof measureSchema>
