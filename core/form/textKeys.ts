import { wordedFields } from './fields'

/** The texts of a form that can be translated, beside those of its questions. */
export const textKeys = [
  'heading',
  'pictureAlt',
  ...wordedFields,
  'consent',
  'button',
  'coupon',
  'thanksHeading',
  'thanksText',
  'linkWords',
  'closed',
] as const
export type TextKey = (typeof textKeys)[number]
