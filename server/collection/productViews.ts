import { PRODUCTS_OF_PAGE } from '../../core/intake/productFields'
import { findFormBySlug } from '../data/forms'
import { latestProductChanges, type ProductChange } from '../data/productChanges'
import {
  countMatching,
  countProducts,
  findProduct,
  productsWithIds,
  productsWithSkus,
  searchProducts,
  skuKey,
  type ListedProduct,
  type Product,
} from '../data/products'
import type { Shop } from '../data/shops'
import type { Services } from '../services'
import { findProducts, productChoices, type ProductChoice, type ProductChoices } from './productChoices'

export interface ProductsView {
  /** Those of a page of the matches, the most used ones first. */
  products: ListedProduct[]
  /** The number of matches, and of all products. */
  count: number
  total: number
  /** The latest changes that can be undone, latest first. */
  changes: (Pick<ProductChange, 'publicId' | 'kind' | 'at'> & {
    title: string
    into: string
  })[]
}

const LATEST_CHANGES = 10

/** @param page counted from 1 */
export async function productsView(
  { db }: Services,
  shop: Shop,
  { words = '', page = 1 }: { words?: string; page?: number } = {},
): Promise<ProductsView> {
  const limit = PRODUCTS_OF_PAGE
  const changes = (await latestProductChanges(db, shop.id, LATEST_CHANGES)).filter(
    ({ undoneAt }) => undoneAt === null,
  )
  const changed = await productsWithIds(
    db,
    shop.id,
    changes.flatMap(({ productId, intoId }) => [productId, intoId]),
  )
  const titleOf = (id: number | null) => (id === null ? undefined : changed.get(id)?.title)
  const total = await countProducts(db, shop.id)
  return {
    products: await searchProducts(db, shop.id, { words, limit, offset: (page - 1) * limit }),
    count: words === '' ? total : await countMatching(db, shop.id, words),
    total,
    changes: changes.map(({ publicId, kind, at, productId, intoId, before }) => ({
      publicId,
      kind,
      at,
      title: titleOf(productId) ?? before.title,
      into: titleOf(intoId) ?? '',
    })),
  }
}

/** One product, and those that it can be merged into; null if the shop has no such product. */
export async function productView(
  { db }: Services,
  shop: Shop,
  publicId: string,
): Promise<{ product: Product; others: ProductChoices } | null> {
  const product = await findProduct(db, shop.id, { publicId })
  if (!product) return null
  const { products, isPart } = await productChoices(db, shop.id)
  return { product, others: { products: products.filter(({ id }) => id !== product.id), isPart } }
}

/** Those of some SKUs that lead to a product, for fields in which one is chosen. */
export async function knownSkus({ db }: Services, shop: Shop, skus: string[]): Promise<string[]> {
  const found = await productsWithSkus(db, shop.id, skus)
  return skus.filter((sku) => found.has(skuKey(sku)))
}

export const findProductsOf = ({ db }: Services, shop: Shop, words: string): Promise<ProductChoice[]> =>
  findProducts(db, shop.id, words)

/** The products on offer in an open form; null if there is none at the address. */
export async function findFormProducts(
  { db }: Services,
  slug: string,
  words: string,
): Promise<Pick<ProductChoice, 'sku' | 'title'>[] | null> {
  const form = await findFormBySlug(db, slug)
  if (form?.state !== 'open') return null
  const found = await findProducts(db, form.shopId, words, { onOffer: true })
  return found.map(({ sku, title }) => ({ sku, title }))
}

export const productChoicesOf = (
  { db }: Services,
  shop: Shop,
  named: string[] = [],
): Promise<ProductChoices> => productChoices(db, shop.id, { named })
