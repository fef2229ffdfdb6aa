import { z } from 'zod'
import { reviewStates } from '../../core/moderation/rules'
import { tables } from './schema/tables'
import { value } from './select'

/** The state of a review whose intake was not undone. */
export const presentState = value(z.enum(reviewStates), tables.review.state.of)
