import { sampleQuotations } from '../../core/messages/display/sampleQuotations'
import { scopeOf } from '../../core/curation/selection'
import { displayModel, type Asked, type DisplayModel } from '../../core/display/displayModel'
import { withPresentSkus } from '../../core/display/presentSkus'
import type { DisplayShop, ShowableReview } from '../../core/display/showableReview'
import type { Configuration } from '../../core/display/configuration'
import { formsOfShop } from '../data/forms'
import { productsBySku, productsOfShop, skuKey } from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { readPublishable } from './publishable'

/** The data of a shop for its displays. */
export async function displayShop({ db }: Pick<Services, 'db'>, shop: Shop): Promise<DisplayShop> {
  const products = await productsOfShop(db, shop.id)
  return {
    name: shop.name,
    shortName: shop.shortName,
    locale: shop.locale,
    timeZone: shop.timeZone,
    products: Object.fromEntries(products.map(({ sku, title }) => [sku, title])),
    site: {
      background: shop.background,
      textColour: shop.textColour,
      brand: shop.brand,
      corners: shop.corners,
    },
  }
}

/** The targets of links in displays. */
export async function displayLinks({ db, publicUrl }: Services, shop: Shop) {
  const form = (await formsOfShop(db, shop.id)).find(({ open }) => open)
  return {
    write: form ? `${publicUrl}/f/${form.slug}` : null,
    how: `${publicUrl}/how/${shop.slug}`,
  }
}

interface Composing {
  key: string
  asked?: Asked
  /** Whether samples stand for the reviews of a shop that has none. */
  samples?: boolean
  /** What is shown instead of the selected reviews. */
  changed?: (picked: ShowableReview[]) => ShowableReview[]
}

/** The data of a shop that its displays share, read once for any number of displays. */
export async function composer(services: Services, shop: Shop) {
  const { now, publicUrl } = services
  const [publishable, forDisplays, links] = await Promise.all([
    readPublishable(services.db, shop.id),
    displayShop(services, shop),
    displayLinks(services, shop),
  ])
  const products = await productsBySku(services.db, shop.id)
  const skuOf = (typed: string) => products.get(skuKey(typed))?.sku
  const present = (configuration: Configuration) => withPresentSkus(configuration, skuOf)
  return {
    publishable,
    shop: forDisplays,
    /** The present SKU of the product that has or had a SKU; undefined if there is no such product. */
    skuOf,
    /** A configuration with the present SKUs of its products. */
    present,
    /** The content of a configuration on a page, and the reviews that it selects. */
    compose: async (
      stored: Configuration,
      { key, asked = {}, samples = false, changed = (picked) => picked }: Composing,
    ): Promise<{ model: DisplayModel; picked: ShowableReview[] }> => {
      const configuration = present(stored)
      const { selection } = configuration
      const picked = await publishable.pick(selection, asked)
      const model = displayModel({
        configuration,
        shop: forDisplays,
        picked: changed(picked),
        totals: publishable.totals(scopeOf(selection, asked)),
        links: {
          ...links,
          all: `${publicUrl}/d/${key}/all${asked.product ? `?product=${encodeURIComponent(asked.product)}` : ''}`,
        },
        mediaUrl: `${publicUrl}/media/`,
        now: now().toISOString(),
        asked,
        samples: samples && publishable.size === 0 ? sampleQuotations() : [],
      })
      return { model, picked }
    },
  }
}
export type Composer = Awaited<ReturnType<typeof composer>>
