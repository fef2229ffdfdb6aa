import { frameWords } from '../en/frame'
import { sayOf } from './sayOf'

/** Says what every page of a shop has: steps, accounts, errors. */
export const say = sayOf(frameWords)
