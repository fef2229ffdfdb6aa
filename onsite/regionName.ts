import type { DisplayModel } from '../core/display/displayModel'

/** What a display is called for those who do not see it. */
export function regionName({ translate, product, shopName }: DisplayModel): string {
  return product?.title
    ? translate('visitor.regionOn', { product: product.title })
    : translate('visitor.region', { shop: shopName })
}
