import { frameWords } from '../en/frame'
import { productWords } from '../en/products'
import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, productWords, customerTexts)
