/** The texts of a form that can be translated, beside those of its questions. */
export const textKeys = [
  'heading',
  'pictureAlt',
  'rating',
  'product',
  'orderNumber',
  'title',
  'body',
  'name',
  'email',
  'consent',
  'button',
  'coupon',
  'thanksHeading',
  'thanksText',
  'linkWords',
  'closed',
] as const
export type TextKey = (typeof textKeys)[number]
