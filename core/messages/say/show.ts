import { fairWords } from '../en/fair'
import { frameWords } from '../en/frame'
import { headingWords } from '../en/heading'
import { onlyHereWords } from '../en/onlyHere'
import { previewWords } from '../en/preview'
import { showWords } from '../en/show'
import { displayWords } from '../en/display'
import { sayOf } from './sayOf'

export const say = sayOf(
  frameWords,
  showWords,
  displayWords,
  fairWords,
  onlyHereWords,
  headingWords,
  previewWords,
)
