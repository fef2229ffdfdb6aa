import { say } from '../words/say'
import type { Configuration } from './configuration'
import { partWords, sentenceParts, type SentencePart } from './sentence'

export interface Change {
  part: SentencePart
  name: string
  before: string
  after: string
}

/** What differs between what is live and the draft, part by part of the sentence. */
export function changesBetween(live: Configuration, draft: Configuration): Change[] {
  const before = partWords(live)
  const after = partWords(draft)
  return sentenceParts
    .filter((part) => before[part] !== after[part])
    .map((part) => ({ part, name: say(`display.part.${part}`), before: before[part], after: after[part] }))
}
