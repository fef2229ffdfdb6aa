import { frameWords } from '../en/frame'
import { reviewWords } from '../en/review'
import { decideWords } from '../en/decide'
import { logWords } from '../en/log'
import { signalWords } from '../en/signals'
import { groupWords } from '../en/groups'
import { photoWords } from '../en/photos'
import { proofWords } from '../en/proof'
import { declineReasonTexts } from '../customers/declineReasons'
import { sayOf } from './sayOf'

export const say = sayOf(
  frameWords,
  reviewWords,
  decideWords,
  logWords,
  signalWords,
  groupWords,
  photoWords,
  proofWords,
  declineReasonTexts,
)
