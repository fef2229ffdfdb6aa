import { sampleQuotations } from '../../core/messages/display/sampleQuotations'
import { displayModel, type Asked } from '../../core/display/displayModel'
import { withPresentSkus } from '../../core/display/presentSkus'
import type { DisplayShop } from '../../core/display/showableReview'
import type { Configuration } from '../../core/display/configuration'
import { formsOfShop } from '../data/forms'
import { productsBySku, productsOfShop, skuKey } from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'

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

/** All data of a shop that its displays need, read once for any number of displays. */
export async function composer(services: Services, shop: Shop) {
  const { now, publicUrl } = services
  const [reviews, forDisplays, links] = await Promise.all([
    services.publishableReviews(services.db, shop.id),
    displayShop(services, shop),
    displayLinks(services, shop),
  ])
  const products = await productsBySku(services.db, shop.id)
  const skuOf = (typed: string) => products.get(skuKey(typed))?.sku
  const present = (configuration: Configuration) => withPresentSkus(configuration, skuOf)
  return {
    reviews,
    shop: forDisplays,
    /** The present SKU of the product that has or had a SKU; undefined if there is no such product. */
    skuOf,
    /** A configuration with the present SKUs of its products. */
    present,
    /**
     * The content of a configuration on a page: the selected reviews, all reviews in its scope, and the
     * display model.
     */
    compose: (
      configuration: Configuration,
      {
        key,
        asked = {},
        samples = false,
        from = reviews,
      }: { key: string; asked?: Asked; samples?: boolean; from?: typeof reviews },
    ) =>
      displayModel({
        configuration: present(configuration),
        shop: forDisplays,
        reviews: from,
        links: {
          ...links,
          all: `${publicUrl}/d/${key}/all${asked.product ? `?product=${encodeURIComponent(asked.product)}` : ''}`,
        },
        mediaUrl: `${publicUrl}/media/`,
        now: now().toISOString(),
        asked,
        samples: samples ? sampleQuotations() : [],
      }),
  }
}
export type Composer = Awaited<ReturnType<typeof composer>>
