import { fairnessOf } from '../../core/curation/fairness'
import { isCompared } from '../../core/curation/scopeTotals'
import { tallyOf } from '../../core/curation/ratingTally'
import type { Configuration } from '../../core/display/configuration'
import type { Asked } from '../../core/display/displayModel'
import { paintedBy } from '../../core/display/ownCssContrast'
import { contrastFaults, resolveTheme, type ColourScheme, type SiteStyle } from '../../core/display/theme'
import { readOwnCss } from '../../core/display/ownCss'
import { startingTheme } from '../../core/display/startingTheme'
import type { Theme } from '../../core/display/themeSchema'
import { themeSwatches } from '../../core/display/themeSwatches'
import { changesBetween } from '../../core/messages/display/changes'
import { sentenceText } from '../../core/messages/display/sentence'
import { tableColumns } from '../../core/display/tableColumns'
import { hasDate } from '../../core/display/toQuotation'
import { MANY, triedWith, type Trial } from '../../core/display/tryOut'
import { renderDisplay, type PageLook, type RenderedDisplay } from '../../onsite/render'
import { headingOf } from '../../onsite/ReviewTable'
import { findDisplay, publishedVersions } from '../data/displays'
import { looksOfShop, startingThemeOf } from '../data/looks'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { productChoices } from '../collection/productChoices'
import { composer, type Composer } from './compose'
import { codeAttributes, embedCode } from './embedCode'
import { pagesOfDisplay } from './seen'
import { basisOf, editorPicks, without } from './editorPicks'
import { pickedLine } from './pickedLine'
import type { EditorChanges, Looking } from './showViews'

const isSameTheme = (theme: Theme, other: Theme | null) =>
  JSON.stringify(theme) === JSON.stringify(other ?? startingTheme)

/** The data of the editor; without the picks if the browser has them. */
export async function editorView(
  services: Services,
  shop: Shop,
  key: string,
  looking: Looking,
): Promise<EditorChanges | null> {
  const { db, publicUrl } = services
  const display = await findDisplay(db, shop.id, { key })
  if (!display) return null
  const { draft } = display
  const composing = await composer(services, shop)
  const configuration = await composing.present(draft.configuration)
  const live = display.live && {
    ...display.live,
    configuration: await composing.present(display.live.configuration),
  }
  const asked: Asked = looking.product ? { product: looking.product } : {}
  const { model, picked } = await composing.compose(configuration, { key, asked })
  const shownNow = live ? (await composing.compose(live.configuration, { key, asked })).picked : []
  const names = composing.names()
  const { publishable } = composing
  const { selection } = configuration
  const chosen = tallyOf(picked.filter(isCompared(selection)))
  const products = await productChoices(db, shop.id, { named: skusIn(configuration, looking) })
  const chosenFrom = {
    ...{ selection, asked, publishable, picked, compared: model.compared },
    skus: products.products.map(({ sku }) => sku),
  }
  const picksOf = await basisOf(services, shop, chosenFrom)
  return {
    ...(looking.hasPicksOf === picksOf ? {} : await editorPicks(services, shop, chosenFrom)),
    picksOf,
    key,
    name: display.name,
    address: display.address,
    draft: configuration,
    savedAt: draft.savedAt,
    live: live && { configuration: live.configuration, publishedAt: live.publishedAt },
    changes: live ? changesBetween(live.configuration, configuration, names) : [],
    comes: without(picked, shownNow).map(pickedLine),
    goes: without(shownNow, picked).map(pickedLine),
    preview: await previewOf(composing, configuration, key, asked, looking.trial),
    published:
      live && JSON.stringify(live.configuration) !== JSON.stringify(configuration)
        ? await previewOf(composing, live.configuration, key, asked, looking.trial)
        : null,
    samples: publishable.size === 0,
    look: pageLook(shop),
    fontsUrl: `${publicUrl}/fonts/`,
    site: composing.shop.site,
    colours: themeSwatches(configuration.theme, composing.shop.site),
    ownLooks: await looksOfShop(db, shop.id),
    isStart: isSameTheme(configuration.theme, await startingThemeOf(db, shop.id)),
    faults: contrastFaults(configuration.theme, composing.shop.site),
    cssFindings: ownCssIn(configuration.theme, composing.shop.site, null).findings,
    painted: schemesOf(configuration.theme).map((scheme) => {
      const { rules, paints } = ownCssIn(configuration.theme, composing.shop.site, scheme)
      return { scheme, ownCss: { rules, paints } }
    }),
    products,
    listings: Object.values(composing.shop.listings).map(({ publicId, site, name, isConnected }) => ({
      publicId,
      words: site === name ? name : `${site} (${name})`,
      isConnected,
    })),
    forms: Object.entries(composing.shop.forms).map(([publicId, words]) => ({ publicId, words })),
    tableColumns: tableColumns(configuration.layout.tableColumns, model.quotations).map((column) => ({
      ...column,
      words: headingOf(column, model),
    })),
    publishableCount: model.publishableCount,
    chosen,
    all: model.compared,
    fairness: fairnessOf(chosen, model.compared),
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

/** The embed code can ask for light or dark where the theme is one of them. */
const schemesOf = ({ background }: Theme): (ColourScheme | null)[] =>
  background === 'light' || background === 'dark' ? ['light', 'dark'] : [null]

const ownCssIn = (theme: Theme, site: SiteStyle, scheme: ColourScheme | null) =>
  readOwnCss(theme.css, paintedBy(resolveTheme(theme, site, scheme), site))

/** The products that the editor shows: those of the display, and that of the page it is seen on. */
const skusIn = ({ selection: { products } }: Configuration, { product }: Looking): string[] => [
  ...(products.kind === 'chosen' ? products.skus : []),
  ...(product ? [product] : []),
]

export const pageLook = ({ background, textColour, fonts }: Shop): PageLook => ({
  background,
  textColour,
  fonts,
})

async function previewOf(
  { compose }: Composer,
  configuration: Configuration,
  key: string,
  asked: Asked,
  trial: Trial,
): Promise<RenderedDisplay> {
  const { model } = await compose(configuration, {
    key,
    asked: trial === 'many' ? { ...asked, limit: MANY } : asked,
    samples: trial === 'samples' ? 'always' : true,
    changed: (picked) => triedWith(picked, trial),
  })
  return renderDisplay(model)
}
