import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

/** English texts for customers, where members see them too. */
export const say = sayOf(customerTexts)
