import type { Fairness } from '../../core/curation/fairness'
import type { PickFacets } from '../../core/curation/pickFacets'
import type { RatingTally } from '../../core/curation/ratingTally'
import type { SelectionOrder } from '../../core/curation/selectionOrders'
import type { Layout } from '../../core/display/choices'
import type { Configuration } from '../../core/display/configuration'
import type { OwnLook } from '../../core/display/lookChanges'
import type { Measure } from '../../core/display/measures'
import type { CssFinding, OwnCss } from '../../core/display/ownCss'
import type { TableColumn } from '../../core/display/tableColumns'
import type { ColourScheme, ContrastFault, SiteStyle } from '../../core/display/theme'
import type { ThemeSwatches } from '../../core/display/themeSwatches'
import type { Trial } from '../../core/display/tryOut'
import type { Change } from '../../core/messages/display/changes'
import type { PageLook, RenderedDisplay } from '../../onsite/render'
import type { ProductChoices } from '../collection/productChoices'
import type { PageSeen } from '../data/displaySeen'
import type { displayCounts } from '../data/displays'
import type { codeAttributes } from './embedCode'
import type { PickedLine } from './pickedLine'

/** How the owner views a display: for which product, and with which attributes. */
export interface Looking {
  product?: string
  trial: Trial
  /** What the picks that the browser has are computed from. */
  hasPicksOf?: string
}

/** What the editor shows of the reviews to choose from. */
export interface EditorPicks {
  picked: PickedLine[]
  /** The next matches, and those removed by hand. */
  next: PickedLine[]
  leftOut: PickedLine[]
  /** The first reviews in each order, with the draft's other settings. */
  firstByOrder: Record<SelectionOrder, PickedLine[]>
  facets: PickFacets
  /** The smallest change that makes a misleading selection fair; empty if it is fair, or cannot be. */
  fairer: { out: PickedLine; in: PickedLine }[]
}

/** The selected reviews in each layout. */
export type Miniatures = Record<Layout, RenderedDisplay>
export interface EditorView extends EditorPicks {
  /** Changes with whatever the picks are computed from. */
  picksOf: string
  key: string
  name: string
  address: string | null
  draft: Configuration
  savedAt: string
  live: { configuration: Configuration; publishedAt: string | null } | null
  changes: Change[]
  comes: PickedLine[]
  goes: PickedLine[]
  preview: RenderedDisplay
  /** What visitors see now, if that differs. */
  published: RenderedDisplay | null
  /** Whether samples replace missing reviews. */
  samples: boolean
  look: PageLook
  /** The address of the folder of shipped fonts. */
  fontsUrl: string
  site: SiteStyle
  /** The looks that the shop has saved. */
  ownLooks: OwnLook[]
  /** Whether new displays start with the theme of this one. */
  isStart: boolean
  faults: ContrastFault[]
  /** What has no effect in the draft's own CSS. */
  cssFindings: CssFinding[]
  /** How a page can show the draft: null for as it is, else light and dark, each with the own CSS that has an effect. */
  painted: { scheme: ColourScheme | null; ownCss: Pick<OwnCss, 'rules' | 'paints'> }[]
  /** The resulting colours of the theme, and plain pages for the preview. */
  colours: ThemeSwatches
  products: ProductChoices
  listings: { publicId: string; words: string; isConnected: boolean }[]
  forms: { publicId: string; words: string }[]
  /** The columns that a table of the selected reviews can have, with their headings. */
  tableColumns: (TableColumn & { words: string })[]
  /** All publishable reviews in its scope. */
  publishableCount: number
  chosen: RatingTally
  all: RatingTally
  fairness: Fairness
  /** The number of selected reviews without a date. */
  undated: number
  code: string
  /** The heights in the copied embed code. */
  copied: Measure[]
  attributes: typeof codeAttributes
  pageUrl: string
  /** The front page of the shop's site. */
  siteUrl: string
  seen: PageSeen[]
  versions: { number: number; at: string; by: string | null; sentence: string; live: boolean }[]
}

/** Without the picks if they are those that the browser has. */
export type EditorChanges = Omit<EditorView, keyof EditorPicks> & Partial<EditorPicks>

export interface DisplayCard {
  key: string
  name: string
  sentence: string
  state: 'draft' | 'draftDiffers' | 'live'
  /** Whether any version was ever published. */
  wasPublished: boolean
  /** The number of parts of the draft that are not published. */
  changes: number
  preview: RenderedDisplay
  look: PageLook
  /** The pages it was seen on, latest first. */
  seen: PageSeen[]
}

export interface DisplayCards {
  cards: DisplayCard[]
  /** Those of the page that can't be read. */
  unreadable: { key: string; name: string }[]
  counts: Awaited<ReturnType<typeof displayCounts>>
}

export interface StartingLooks {
  looks: Record<Layout, RenderedDisplay>
  look: PageLook
  samples: boolean
}
