import { say } from '../say/show'
import type { Quotation } from '../../display/quotation'

const sample = (publicId: string, marks: number, words: string): Quotation => ({
  publicId,
  rating: null,
  inAverages: false,
  written: null,
  marks,
  numeral: '',
  title: '',
  words: { head: [words], rest: [], within: false },
  name: say('display.sample.name'),
  answers: [],
  language: null,
  otherLanguage: '',
  product: null,
  date: null,
  proof: null,
  note: say('display.sample.note'),
  besideName: [],
  portrait: null,
  company: null,
  photos: [],
  relationship: '',
  postedOn: '',
  origin: null,
  likes: '',
  original: null,
  reply: null,
})

/** Samples for the editor while there is no review; visitors never get them. */
export function sampleQuotations(): Quotation[] {
  return [
    sample('sample-1', 5, say('display.sample.short')),
    sample('sample-2', 5, say('display.sample.long')),
    sample('sample-3', 4, say('display.sample.mixed')),
  ]
}
