import { fairnessOf, type Fairness } from '../../core/curation/fairness'
import { pickFacets, type PickFacets } from '../../core/curation/pickFacets'
import { tallyOf, type RatingTally } from '../../core/curation/ratingTally'
import { fitting, pick } from '../../core/curation/selection'
import { selectionOrders, type SelectionOrder } from '../../core/curation/selectionOrders'
import { layouts, type Layout } from '../../core/display/choices'
import type { Configuration } from '../../core/display/configuration'
import type { Asked } from '../../core/display/displayModel'
import { inAverages, type ShowableReview } from '../../core/display/showableReview'
import { contrastFaults, type ContrastFault } from '../../core/display/theme'
import { themeSwatches, type ThemeSwatches } from '../../core/display/themeSwatches'
import type { SiteStyle } from '../../core/display/theme'
import type { Measure } from '../../core/display/measures'
import { changesBetween, type Change } from '../../core/messages/display/changes'
import { sentenceText } from '../../core/messages/display/sentence'
import { hasDate } from '../../core/display/toQuotation'
import { MANY, triedWith, type Trial } from '../../core/display/tryOut'
import { renderDisplay, type PageLook, type RenderedDisplay } from '../../onsite/render'
import { findDisplay, publishedVersions } from '../data/displays'
import type { PageSeen } from '../data/displaySeen'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { composer, type Composer } from './compose'
import { codeAttributes, embedCode } from './embedCode'
import { pagesOfDisplay } from './seen'
import { pickedLine, type PickedLine } from './pickedLine'

const FIRST_FEW = 3
/** The number of listed matches that are not shown. */
const NEXT_FEW = 20
const IN_A_MINIATURE = 6
/** Miniatures use several columns at smaller widths, so that their text stays readable. */
const MINIATURE_MARKS = [200, 320, 4000]

/** How the owner views a display: for which product, and with which attributes. */
export interface Looking {
  product?: string
  trial: Trial
}

export interface EditorView {
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
  /** Whether samples replace missing reviews. */
  samples: boolean
  look: PageLook
  site: SiteStyle
  faults: ContrastFault[]
  /** The resulting colours of the theme, and plain pages for the preview. */
  colours: ThemeSwatches
  miniatures: Record<Layout, RenderedDisplay>
  picked: PickedLine[]
  /** The next matches, and those removed by hand. */
  next: PickedLine[]
  leftOut: PickedLine[]
  /** The first reviews in each order, with the draft's other settings. */
  firstByOrder: Record<SelectionOrder, PickedLine[]>
  facets: PickFacets
  products: { sku: string; title: string }[]
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

/** The data of the editor. */
export async function editorView(
  services: Services,
  shop: Shop,
  key: string,
  looking: Looking,
): Promise<EditorView | null> {
  const { db, publicUrl } = services
  const display = await findDisplay(db, shop.id, { key })
  if (!display) return null
  const { draft } = display
  const composing = await composer(services, shop)
  const configuration = composing.present(draft.configuration)
  const live = display.live && {
    ...display.live,
    configuration: composing.present(display.live.configuration),
  }
  const asked: Asked = looking.product ? { product: looking.product } : {}
  const { model, picked, scope } = composing.compose(configuration, { key, asked })
  const shownNow = live ? composing.compose(live.configuration, { key, asked }).picked : []
  const chosen = tallyOf(picked.filter(inAverages))
  const names = composing.shop.products
  const { reviews } = composing
  return {
    key,
    name: display.name,
    address: display.address,
    draft: configuration,
    savedAt: draft.savedAt,
    live: live && { configuration: live.configuration, publishedAt: live.publishedAt },
    changes: live ? changesBetween(live.configuration, configuration, names) : [],
    comes: without(picked, shownNow).map(pickedLine),
    goes: without(shownNow, picked).map(pickedLine),
    preview: previewOf(composing, configuration, key, asked, picked, looking.trial),
    samples: composing.reviews.length === 0,
    look: pageLook(shop),
    site: composing.shop.site,
    colours: themeSwatches(configuration.theme, composing.shop.site),
    faults: contrastFaults(configuration.theme, composing.shop.site),
    miniatures: miniatures(composing, configuration, key, asked),
    picked: picked.map(pickedLine),
    next: without(fitting(reviews, configuration.selection, asked), picked)
      .slice(0, NEXT_FEW)
      .map(pickedLine),
    leftOut: reviews
      .filter(({ publicId }) => configuration.selection.leftOut.includes(publicId))
      .map(pickedLine),
    firstByOrder: Object.fromEntries(
      selectionOrders.map((order) => [
        order,
        pick(reviews, { ...configuration.selection, pins: [], order, limit: FIRST_FEW }, asked).map(
          pickedLine,
        ),
      ]),
    ) as Record<SelectionOrder, PickedLine[]>,
    facets: pickFacets(reviews, configuration.selection, asked),
    products: Object.entries(names).map(([sku, title]) => ({ sku, title })),
    publishableCount: scope.length,
    chosen,
    all: model.tally,
    fairness: fairnessOf(chosen, model.tally),
    undated: picked.filter((review) => !hasDate(review)).length,
    code: embedCode(publicUrl, shop, key),
    copied: display.measured,
    attributes: codeAttributes,
    pageUrl: `${publicUrl}/d/${display.address ?? key}`,
    siteUrl: shop.siteUrl,
    seen: await pagesOfDisplay(services, shop, display.id),
    versions: (await publishedVersions(db, shop.id, display.id)).map((version) => ({
      number: version.number,
      at: version.publishedAt!,
      by: version.by,
      sentence: sentenceText(version.configuration, names),
      live: version.id === live?.id,
    })),
  }
}

export const pageLook = ({ background, textColour, fonts }: Shop): PageLook => ({
  background,
  textColour,
  fonts,
})

const without = (from: ShowableReview[], others: ShowableReview[]) => {
  const there = new Set(others.map(({ id }) => id))
  return from.filter(({ id }) => !there.has(id))
}

function previewOf(
  { compose, reviews }: Composer,
  configuration: Configuration,
  key: string,
  asked: Asked,
  picked: ShowableReview[],
  trial: Trial,
): RenderedDisplay {
  const { model } = compose(configuration, {
    key,
    asked: trial === 'many' ? { ...asked, limit: MANY } : asked,
    samples: true,
    from: triedWith(reviews, picked, trial),
  })
  return renderDisplay(model)
}

/** The selected reviews in each layout, as small previews. */
export function miniatures(
  { compose }: Pick<Composer, 'compose'>,
  configuration: Configuration,
  key: string,
  asked: Asked = {},
): Record<Layout, RenderedDisplay> {
  const plain: Configuration = {
    ...configuration,
    title: '',
    heading: {
      line: '',
      average: false,
      count: false,
      write: false,
      all: false,
      button: { words: '', url: '' },
    },
  }
  const { model } = compose(plain, { key, asked, samples: true })
  const few = { ...model, stock: 0, quotations: model.quotations.slice(0, IN_A_MINIATURE) }
  return Object.fromEntries(
    layouts.map((kind) => [
      kind,
      renderDisplay({ ...few, layout: { ...model.layout, kind, marks: MINIATURE_MARKS } }),
    ]),
  ) as Record<Layout, RenderedDisplay>
}
