import { reviewSheetWords } from '../en/reviewSheet'
import { reviewWords } from '../en/review'
import { sayOf } from './sayOf'

export const say = sayOf(reviewWords, reviewSheetWords)
