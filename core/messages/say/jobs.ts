import { frameWords } from '../en/frame'
import { jobWords } from '../en/jobs'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, jobWords)
