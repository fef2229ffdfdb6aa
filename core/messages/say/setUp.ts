import { frameWords } from '../en/frame'
import { setUpWords } from '../en/setUp'
import { jobWords } from '../en/jobs'
import { learningWords } from '../en/learning'
import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, setUpWords, jobWords, learningWords, customerTexts)
