import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

/** Says what customers read too. */
export const say = sayOf(customerTexts)
