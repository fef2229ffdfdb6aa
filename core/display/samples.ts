import { say } from '../messages/say'
import type { Quotation } from './quotation'

const sample = (publicId: string, marks: number, words: string): Quotation => ({
  publicId,
  rated: null,
  counted: false,
  written: null,
  marks,
  numeral: '',
  title: '',
  words: { head: [words], rest: [], within: false },
  name: say('setUp.sampleName'),
  language: null,
  product: null,
  date: null,
  proof: null,
  note: say('setUp.sampleNote'),
  role: '',
  portrait: null,
  company: null,
  photos: [],
  relationship: '',
  reply: null,
})

/** What stands in the editor, marked as samples, while there is no review; visitors never get them. */
export function sampleQuotations(): Quotation[] {
  return [
    sample('sample-1', 5, say('setUp.sampleWords.short')),
    sample('sample-2', 5, say('setUp.sampleWords.long')),
    sample('sample-3', 4, say('setUp.sampleWords.mixed')),
  ]
}
