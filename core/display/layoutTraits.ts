import type { Layout, places } from './choices'

/** The modules that run in a visitor's browser, in `onsite/behaviour/`. */
export type Behaviour =
  | 'pack'
  | 'slide'
  | 'lead'
  | 'photos'
  | 'origins'
  | 'fonts'
  | 'pages'
  | 'edge'
  | 'dates'
  | 'notes'

interface LayoutTraits {
  /**
   * Reviews as quotations or as rows of a table; or their number and average, as a summary with all ratings, a
   * badge or a line of text.
   */
  shows: 'reviews' | 'table' | 'summary' | 'badge' | 'line'
  /** Whether it has several columns if there is room. */
  columns: boolean
  /** Whether it moves: one review at a time, or several. */
  motion: 'none' | 'one' | 'several'
  /** Whether it can be shown by pages. */
  paged: boolean
  /** The module that it needs; null for none. */
  module: Behaviour | null
  /** What a new display starts with. */
  start: { place: (typeof places)[number]; limit: number; products: 'every' | 'page' }
}

const front = { place: 'front', limit: 6, products: 'every' } as const

/** What each layout has. Editor, renderer and loader read it. */
export const layoutTraits: Record<Layout, LayoutTraits> = {
  list: {
    shows: 'reviews',
    columns: false,
    motion: 'none',
    paged: true,
    module: null,
    start: { ...front, place: 'product', products: 'page' },
  },
  grid: { shows: 'reviews', columns: true, motion: 'none', paged: true, module: null, start: front },
  masonry: {
    shows: 'reviews',
    columns: true,
    motion: 'none',
    paged: false,
    module: 'pack',
    start: { ...front, limit: 9 },
  },
  carousel: {
    shows: 'reviews',
    columns: true,
    motion: 'several',
    paged: false,
    module: 'slide',
    start: { ...front, limit: 9 },
  },
  single: {
    shows: 'reviews',
    columns: false,
    motion: 'one',
    paged: false,
    module: 'slide',
    start: { ...front, place: 'side' },
  },
  aggregate: { shows: 'summary', columns: false, motion: 'none', paged: false, module: null, start: front },
  badge: {
    shows: 'badge',
    columns: false,
    motion: 'none',
    paged: false,
    module: 'lead',
    start: { ...front, place: 'footer' },
  },
  ratingLine: {
    shows: 'line',
    columns: false,
    motion: 'none',
    paged: false,
    module: 'lead',
    start: { ...front, place: 'products', products: 'page' },
  },
  edge: {
    shows: 'reviews',
    columns: false,
    motion: 'none',
    paged: false,
    module: 'edge',
    start: { ...front, place: 'footer', limit: 12 },
  },
  table: {
    shows: 'table',
    columns: false,
    motion: 'none',
    paged: false,
    module: null,
    start: { ...front, limit: 12 },
  },
}

export const showsReviews = (layout: Layout): boolean =>
  ['reviews', 'table'].includes(layoutTraits[layout].shows)
/** Whether it opens over the page, from a mark at its edge. */
export const isAtEdge = (layout: Layout): boolean => layout === 'edge'
export const isTable = (layout: Layout): boolean => layoutTraits[layout].shows === 'table'
/** Whether it stands within text or a corner, without a heading. */
export const isSmall = (layout: Layout): boolean => ['badge', 'line'].includes(layoutTraits[layout].shows)
