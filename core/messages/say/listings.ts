import { frameWords } from '../en/frame'
import { listingWords } from '../en/listings'
import { sayOf } from './sayOf'

export const say = sayOf(frameWords, listingWords)
