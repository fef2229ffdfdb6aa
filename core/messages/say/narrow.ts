import { displayWords } from '../en/display'
import { frameWords } from '../en/frame'
import { narrowWords } from '../en/narrow'
import { showWords } from '../en/show'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, showWords, displayWords, narrowWords)
