import { findWords } from '../en/find'
import { reviewWords } from '../en/review'
import { sayOf } from './sayOf'

export const say = sayOf(findWords, reviewWords)
