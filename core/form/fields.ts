import { keysOf, recordOf } from '../formats/keysOf'
import { BODY_LIMIT, TITLE_LIMIT } from '../intake/limits'
import { askedTexts } from '../intake/writerTexts'

/** The fields of a form as parts of its design, in the order of the page, and the names that they are sent under. */
export const fieldNames = {
  rating: 'rating',
  product: 'product',
  orderNumber: 'order_number',
  title: 'title',
  body: 'body',
  photos: 'media',
  name: 'author_name',
  ...recordOf(askedTexts, (name) => name),
  email: 'author_email',
} as const
export type FormField = keyof typeof fieldNames
export const formFields = keysOf(fieldNames)

/** Those whose label an owner can word; the others are worded by the catalogue. */
export type WordedField = Exclude<FormField, 'photos'>
export const wordedFields = formFields.filter((field): field is WordedField => field !== 'photos')

interface LengthBounds {
  min: number
  max: number
  step: number
}

/** What an owner can choose for the lengths of texts, in characters. */
export const lengthBounds = {
  title: { most: { min: 10, max: TITLE_LIMIT, step: 10 } },
  body: { least: { min: 0, max: 500, step: 10 }, most: { min: 100, max: BODY_LIMIT, step: 100 } },
} as const satisfies Partial<Record<FormField, Partial<Record<'least' | 'most', LengthBounds>>>>
