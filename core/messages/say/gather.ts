import { frameWords } from '../en/frame'
import { reviewWords } from '../en/review'
import { gatherWords } from '../en/gather'
import { proofWords } from '../en/proof'
import { listingWords } from '../en/listings'
import { jobWords } from '../en/jobs'
import { en as customerTexts } from '../customers/en'
import { sayOf } from './sayOf'

export const say = sayOf(
  frameWords,
  reviewWords,
  gatherWords,
  proofWords,
  jobWords,
  listingWords,
  customerTexts,
)
