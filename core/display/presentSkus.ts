import type { Configuration } from './configuration'

/**
 * A configuration whose products have their present SKUs.
 * @param skuOf the present SKU of the product that has or had a SKU; undefined if there is none
 */
export function withPresentSkus(
  configuration: Configuration,
  skuOf: (sku: string) => string | undefined,
): Configuration {
  const { selection } = configuration
  if (selection.products.kind !== 'chosen') return configuration
  const skus = [...new Set(selection.products.skus.map((sku) => skuOf(sku) ?? sku))]
  return { ...configuration, selection: { ...selection, products: { ...selection.products, skus } } }
}
