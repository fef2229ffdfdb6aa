import { decideWords } from './decide'
import { displayWords } from './display'
import { frameWords } from './frame'
import { gatherWords } from './gather'
import { groupWords } from './groups'
import { jobWords } from './jobs'
import { howWords } from './how'
import { photoWords } from './photos'
import { proofWords } from './proof'
import { publicWords } from './public'
import { setUpWords } from './setUp'
import { showWords } from './show'
import { signalWords } from './signals'

/** Everything the application says, in our own plain words. Plurals end in `_one` and `_other`. */
export const en = {
  ...publicWords,
  ...displayWords,
  ...decideWords,
  ...signalWords,
  ...gatherWords,
  ...showWords,
  ...groupWords,
  ...jobWords,
  ...howWords,
  ...proofWords,
  ...photoWords,
  ...setUpWords,
  ...frameWords,
} as const
