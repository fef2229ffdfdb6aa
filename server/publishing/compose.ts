import { sampleQuotations } from '../../core/messages/display/sampleQuotations'
import { displayModel, type Asked } from '../../core/display/displayModel'
import type { DisplayShop } from '../../core/display/showableReview'
import type { Configuration } from '../../core/display/configuration'
import { formsOfShop } from '../data/forms'
import { productsOfShop, type Shop } from '../data/shops'
import type { Services } from '../services'

/** A shop as its displays see it. */
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

/** Where the displays of a shop lead. */
export async function displayLinks({ db, publicUrl }: Services, shop: Shop) {
  const form = (await formsOfShop(db, shop.id)).find(({ open }) => open)
  return {
    write: form ? `${publicUrl}/f/${form.slug}` : null,
    how: `${publicUrl}/how/${shop.slug}`,
  }
}

/** Everything about a shop that its displays are made from, read once for any number of them. */
export async function composer(services: Services, shop: Shop) {
  const { now, publicUrl } = services
  const [reviews, forDisplays, links] = await Promise.all([
    services.publishableReviews(services.db, shop.id),
    displayShop(services, shop),
    displayLinks(services, shop),
  ])
  const skus = new Map(Object.keys(forDisplays.products).map((sku) => [sku.trim().toLowerCase(), sku]))
  return {
    reviews,
    shop: forDisplays,
    /** A SKU as the shop spells it, or undefined when it has no such product. */
    skuOf: (typed: string) => skus.get(typed.trim().toLowerCase()),
    /** What a configuration shows on a page: the picked reviews, all in its scope, and what its output is made from. */
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
        configuration,
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
