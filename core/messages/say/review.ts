import { reviewWords } from '../en/review'
import { sayOf } from './sayOf'

/** Says the state, source and proof of a review. */
export const say = sayOf(reviewWords)
