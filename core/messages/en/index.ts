import { decideWords } from './decide'
import { draggingWords } from './dragging'
import { displayWords } from './display'
import { fairWords } from './fair'
import { findWords } from './find'
import { formWords } from './forms'
import { frameWords } from './frame'
import { gatherWords } from './gather'
import { groupWords } from './groups'
import { headingWords } from './heading'
import { jobWords } from './jobs'
import { learningWords } from './learning'
import { listingWords } from './listings'
import { logWords } from './log'
import { narrowWords } from './narrow'
import { onlyHereWords } from './onlyHere'
import { ownCssWords } from './ownCss'
import { photoWords } from './photos'
import { previewWords } from './preview'
import { productWords } from './products'
import { problemWords } from './problems'
import { proofWords } from './proof'
import { reviewSheetWords } from './reviewSheet'
import { reviewWords } from './review'
import { setUpWords } from './setUp'
import { showWords } from './show'
import { signalWords } from './signals'
import { styleWords } from './style'
import { writeWords } from './write'

/** All texts for members. Plurals end in `_one` and `_other`. */
export const ownerTexts = {
  ...displayWords,
  ...reviewWords,
  ...decideWords,
  ...signalWords,
  ...gatherWords,
  ...writeWords,
  ...showWords,
  ...fairWords,
  ...findWords,
  ...formWords,
  ...previewWords,
  ...headingWords,
  ...logWords,
  ...narrowWords,
  ...onlyHereWords,
  ...ownCssWords,
  ...styleWords,
  ...groupWords,
  ...jobWords,
  ...learningWords,
  ...listingWords,
  ...productWords,
  ...problemWords,
  ...proofWords,
  ...photoWords,
  ...reviewSheetWords,
  ...draggingWords,
  ...setUpWords,
  ...frameWords,
} as const
