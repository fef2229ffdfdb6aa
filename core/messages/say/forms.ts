import { en as customerTexts } from '../customers/en'
import { formWords } from '../en/forms'
import { frameWords } from '../en/frame'
import { gatherWords } from '../en/gather'
import { showWords } from '../en/show'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, gatherWords, formWords, showWords, customerTexts)
