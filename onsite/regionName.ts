import type { DisplayModel } from '../core/display/displayModel'

/** What a display is called for those who do not see it. */
export function regionName({ say, product, shopName }: DisplayModel): string {
  return product?.title ? say('regionOn', { product: product.title }) : say('region', { shop: shopName })
}
