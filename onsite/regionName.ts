import type { DisplayModel } from '../core/display/displayModel'

/** For screen readers. */
export function regionName({ translate, product, shopName }: DisplayModel): string {
  return product?.title
    ? translate('visitor.regionOn', { product: product.title })
    : translate('visitor.region', { shop: shopName })
}
