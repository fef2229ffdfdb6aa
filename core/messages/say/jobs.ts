import { frameWords } from '../en/frame'
import { jobWords } from '../en/jobs'
import { sayOf } from './sayOf'

/** Says jobs and their progress. */
export const say = sayOf(frameWords, jobWords)
