import { frameWords } from '../en/frame'
import { gatherWords } from '../en/gather'
import { reviewWords } from '../en/review'
import { writeWords } from '../en/write'
import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, reviewWords, gatherWords, writeWords, customerTexts)
