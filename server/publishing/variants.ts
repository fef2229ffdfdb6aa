import type { Asked } from '../../core/display/displayModel'
import type { Configuration } from '../../core/display/configuration'
import { jsonLdOf } from '../../core/display/jsonLd'
import { everything, scopeOf } from '../../core/curation/selection'
import { MOST_SHOWN } from '../../core/curation/selectionOrders'
import { renderItems, renderPage, renderPart } from '../../onsite/render'
import { findDisplay, shopOfLiveDisplay } from '../data/displays'
import { findShop } from '../data/shops'
import type { Services } from '../services'
import { composer, type Composer } from './compose'
import { displayAnswer } from './publish'

async function found(services: Services, key: string) {
  const shopId = await shopOfLiveDisplay(services.db, key)
  const display = shopId === null ? null : await findDisplay(services.db, shopId, { key })
  if (!display?.live) return null
  const shop = await findShop(services.db, display.shopId)
  return { shop, display, live: display.live, composing: await composer(services, shop) }
}

const PART = 60

/** Stands for all unknown products, so that requests for made-up ones share one variant. */
const UNKNOWN = '?'

/** The product in the shop's spelling; an unknown one matches no review. */
const onPage = async (asked: Asked, { skuOf }: Pick<Composer, 'skuOf'>): Promise<Asked> =>
  asked.product ? { ...asked, product: (await skuOf(asked.product)) ?? UNKNOWN } : asked

/** A published display for a given product, number, language or colour scheme. */
export async function displayVariant(services: Services, key: string, asked: Asked): Promise<string | null> {
  const at = await found(services, key)
  if (!at) return null
  const { model } = await at.composing.compose(at.live.configuration, {
    key,
    asked: await onPage(asked, at.composing),
  })
  return JSON.stringify(displayAnswer(services, { key, live: at.live }, model))
}

/** The page of a published display. */
export async function displayPage(services: Services, key: string, asked: Asked): Promise<string | null> {
  const at = await found(services, key)
  return at && pageOf(services, at, asked, at.live.configuration, '')
}

/** Further reviews of a published display, of one site or of all, as items of its list. */
export async function partOfDisplay(services: Services, key: string, asked: Asked): Promise<string | null> {
  const at = await found(services, key)
  if (!at) return null
  const { model } = await at.composing.compose(at.live.configuration, {
    key,
    asked: {
      ...(await onPage(asked, at.composing)),
      ...(asked.page === undefined && { limit: asked.limit ?? PART }),
    },
  })
  return asked.page === undefined ? renderItems(model) : renderPart(model)
}

/** A page of all reviews in the scope of a published display, newest first. */
export async function allOfDisplay(services: Services, key: string, asked: Asked): Promise<string | null> {
  const at = await found(services, key)
  if (!at) return null
  const { configuration } = at.live
  const { selection, layout, heading } = configuration
  return pageOf(
    services,
    at,
    { ...asked, limit: MOST_SHOWN },
    {
      ...configuration,
      title: '',
      heading: { ...heading, line: '', average: asked.origin === undefined, count: true, all: false },
      selection: {
        ...everything,
        products: selection.products,
        // A display of other sites or of forms leads to more of the same.
        ...(selection.listings.length + selection.forms.length > 0 && {
          sources: selection.sources,
          listings: selection.listings,
          forms: selection.forms,
        }),
      },
      layout: { ...layout, kind: 'list', paging: 'none' },
    },
    '/all',
  )
}

async function pageOf(
  { behaviours, publicUrl }: Services,
  { shop, display, composing }: NonNullable<Awaited<ReturnType<typeof found>>>,
  asked: Asked,
  configuration: Configuration,
  below: '' | '/all',
): Promise<string> {
  const onProduct = await onPage(asked, composing)
  const { model } = await composing.compose(configuration, { key: display.key, asked: onProduct })
  const url = `${publicUrl}/d/${display.address ?? display.key}${below}`
  const jsonLd = jsonLdOf(model, url)
  const about = scopeOf(configuration.selection, onProduct)
  return renderPage(model, {
    look: shop,
    url,
    description: configuration.description.trim() || shop.description,
    picture: configuration.picture ? `${publicUrl}/media/${configuration.picture}` : null,
    // The script element must not contain its own end tag.
    jsonLd: about && jsonLd ? JSON.stringify(jsonLd).replace(/</g, '\\u003c') : null,
    script: behaviours.page ?? null,
  })
}
