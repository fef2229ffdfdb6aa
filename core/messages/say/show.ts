import { fairWords } from '../en/fair'
import { frameWords } from '../en/frame'
import { showWords } from '../en/show'
import { displayWords } from '../en/display'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, showWords, displayWords, fairWords)
