import { displayWords } from '../en/display'
import { frameWords } from '../en/frame'
import { showWords } from '../en/show'
import { styleWords } from '../en/style'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, showWords, displayWords, styleWords)
