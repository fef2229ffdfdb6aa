import { displayWords } from '../en/display'
import { ownCssWords } from '../en/ownCss'
import { sayOf } from './sayOf'

export const say = sayOf(displayWords, ownCssWords)
