import type { z } from 'zod'
import { startingDesign } from '../form/startingDesign'
import { submissionSchema } from './submission'

/** What a customer can change in her own review. */
export const ownChangeSchema = submissionSchema(
  { skus: [], any: false, buyersOnly: false },
  startingDesign,
).pick({
  rating: true,
  title: true,
  body: true,
  author_name: true,
  media: true,
})
export const ownChangeFieldNames = ['act', ...Object.keys(ownChangeSchema.shape)]

export type OwnChange = z.infer<typeof ownChangeSchema>
