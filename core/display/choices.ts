/** The choices and limits of a display's settings, without schemas, so that screens load little. */

export const layouts = [
  'list',
  'grid',
  'masonry',
  'carousel',
  'single',
  'aggregate',
  'badge',
  'ratingLine',
  'table',
] as const
export type Layout = (typeof layouts)[number]
/** Columns that every table can have; each answer has one more. */
export const fixedColumns = ['name', 'words', 'rating', 'product', 'date'] as const
export const DISPLAY_TITLE_LIMIT = 120
export const DISPLAY_LINE_LIMIT = 240
export const MOST_COLUMNS = 4
export const LONGEST_AUTOPLAY = 60
export const NARROWEST_MARK = 200
export const WIDEST_MARK = 2000
export const nameForms = ['full', 'firstInitial', 'first', 'initials', 'hidden'] as const
export const dateForms = ['hidden', 'month', 'day'] as const
export const originForms = ['link', 'newTab', 'name', 'hidden'] as const
export const businessForms = ['none', 'business', 'logo'] as const
export const ratingForms = ['glyphs', 'numeral', 'both', 'hidden'] as const
export const glyphs = ['star', 'disc', 'heart'] as const
export const backgrounds = ['page', 'light', 'dark', 'colour'] as const
export const frames = ['rule', 'box', 'none'] as const
export const WIDEST_SPACE = 96
export const ROUNDEST = 32
export const places = ['front', 'product', 'products', 'side', 'footer', 'own', 'elsewhere'] as const
