import type { FormDesign } from './design'
import { startingDesign } from './startingDesign'

/** What a new form begins with. */
export const startingForms = ['usual', 'short', 'questions'] as const
export type StartingForm = (typeof startingForms)[number]

const question = { hint: '', options: [], steps: 5, low: '', high: '', required: false, public: true }

export const startingDesigns: Record<StartingForm, FormDesign> = {
  usual: startingDesign,
  /** A rating and a text. */
  short: {
    ...startingDesign,
    product: { ...startingDesign.product, shown: false },
    orderNumber: { ...startingDesign.orderNumber, shown: false },
    title: { ...startingDesign.title, shown: false },
    photos: { most: 0 },
  },
  /** Its questions are worded by the catalogue. */
  questions: {
    ...startingDesign,
    orderNumber: { ...startingDesign.orderNumber, shown: false },
    title: { ...startingDesign.title, shown: false },
    photos: { most: 0 },
    questions: [
      { ...question, id: 'first', kind: 'long', label: '' },
      { ...question, id: 'second', kind: 'scale', label: '', public: false },
    ],
  },
}
