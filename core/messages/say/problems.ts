import { problemWords } from '../en/problems'
import { frameWords } from '../en/frame'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, problemWords)
