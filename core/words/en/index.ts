import { decideWords } from './decide'
import { frameWords } from './frame'
import { gatherWords } from './gather'
import { publicWords } from './public'
import { setUpWords } from './setUp'
import { showWords } from './show'

/** Everything the application says, in our own plain words. Plurals end in `_one` and `_other`. */
export const en = {
  ...publicWords,
  ...decideWords,
  ...gatherWords,
  ...showWords,
  ...setUpWords,
  ...frameWords,
} as const
