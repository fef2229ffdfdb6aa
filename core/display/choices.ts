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
  'edge',
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
/** The edge of the page at which a mark stands. */
/** How fast a row moves. */
export const speeds = ['usual', 'calm', 'quick', 'atOnce'] as const
export const edgeSides = ['left', 'right'] as const
/** Whether there is more than the first reviews: by numbered pages, by a button, or as one scrolls. */
export const pagings = ['none', 'pages', 'more', 'scroll'] as const
export const nameForms = ['full', 'firstInitial', 'first', 'initials', 'hidden'] as const
export const dateForms = ['hidden', 'month', 'day', 'relative', 'pattern'] as const
export const DATE_PATTERN_LIMIT = 40
/** What stands above the reviews, in its usual order. */
export const headingBlocks = ['shop', 'business', 'title', 'line', 'bars', 'summary'] as const
export const shopForms = ['none', 'name', 'logo', 'both'] as const
export const originForms = ['link', 'newTab', 'name', 'hidden'] as const
export const businessForms = ['none', 'business', 'logo'] as const
export const ratingForms = ['glyphs', 'numeral', 'both', 'hidden'] as const
export const glyphs = ['star', 'disc', 'heart'] as const
export const backgrounds = ['page', 'light', 'dark', 'colour'] as const
/** Where a line is drawn at each review; `box` is all around. */
export const frames = ['rule', 'below', 'side', 'box', 'none'] as const
export const lineKinds = ['solid', 'dashed', 'dotted', 'double'] as const
export const cardFills = ['none', 'tint', 'accent', 'colour'] as const
export const cardShadows = ['none', 'soft', 'deep', 'offset'] as const
/** Where the writer stands: below the words, above them, beside them, or beside and the rating on the other side. */
export const cardArrangements = ['below', 'above', 'beside', 'ledger', 'centred'] as const
export const quoteMarks = ['none', 'above', 'behind'] as const
export const sizes = ['compact', 'normal', 'roomy'] as const
export const alignments = ['start', 'center', 'end'] as const
export const buttonForms = ['outline', 'filled', 'text'] as const
/** The look of arrows and of the marks between them. */
export const arrowForms = ['outline', 'filled', 'plain'] as const
export const dotForms = ['round', 'bars'] as const
export const fonts = [
  'page',
  'literata',
  'fraunces',
  'bitter',
  'commissioner',
  'karla',
  'oswald',
  'caveat',
  'jetbrains',
] as const
/** The texts of a display that can be styled alone. */
export const textParts = [
  'title',
  'line',
  'average',
  'symbols',
  'headline',
  'words',
  'name',
  'about',
  'date',
  'proof',
  'reply',
  'links',
] as const
export type TextPart = (typeof textParts)[number]
export const THICKEST_LINE = 12
export const WIDEST_DISPLAY = 1600
export const NARROWEST_DISPLAY = 200
export const SMALLEST_TEXT = 60
export const LARGEST_TEXT = 300
/** The greatest length of own CSS, in UTF-16 units. */
export const OWN_CSS_LIMIT = 6000
export const WIDEST_TEXT_SPACE = 48
export const textWeights = [300, 400, 500, 600, 700, 800] as const
export const WIDEST_SPACE = 96
export const ROUNDEST = 32
export const places = ['front', 'product', 'products', 'side', 'footer', 'own', 'elsewhere'] as const
