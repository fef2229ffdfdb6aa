import { z } from 'zod'
import { matchingSchema, showsSomething } from '../../core/listing/matching'
import { jsonText } from '../readForm'

/** The field of `MatchColumns`. */
export const matchingField = jsonText(matchingSchema.refine(showsSomething))

/** Empty for listings that are no sheets. */
export const matchingOrNothing = z.union([z.literal('').transform(() => null), matchingField])
