import type { Knex } from 'knex'
import { productsWithSkus, searchProducts, type Product } from '../data/products'

/** A shop with more products than this searches among them. */
const MAX_LISTED_PRODUCTS = 50
const MAX_FOUND = 20

export type ProductChoice = Pick<Product, 'id' | 'publicId' | 'sku' | 'title'>

/** The products that a field offers. */
export interface ProductChoices {
  products: ProductChoice[]
  /** Whether there are more, which are found by their words. */
  isPart: boolean
}

/**
 * All products by title; of many only the most used ones, and those that are named.
 * @param named SKUs of products that a field shows
 * @param onOffer whether retired ones are left out, unless they are named
 */
export async function productChoices(
  db: Knex,
  shopId: number,
  { named = [], onOffer = false }: { named?: string[]; onOffer?: boolean } = {},
): Promise<ProductChoices> {
  const first = await searchProducts(db, shopId, { onOffer, limit: MAX_LISTED_PRODUCTS + 1 })
  const isPart = first.length > MAX_LISTED_PRODUCTS
  const products = isPart
    ? first.slice(0, MAX_LISTED_PRODUCTS)
    : first.toSorted((a, b) => (a.title < b.title ? -1 : a.title > b.title ? 1 : 0))
  const isListed = new Set(products.map(({ id }) => id))
  for (const product of (await productsWithSkus(db, shopId, named)).values()) {
    if (!isListed.has(product.id)) products.push({ ...product, approved: 0 })
    isListed.add(product.id)
  }
  return { products: products.map(choiceOf), isPart }
}

/** The most used products that contain all of some words. */
export async function findProducts(
  db: Knex,
  shopId: number,
  words: string,
  { onOffer = false }: { onOffer?: boolean } = {},
): Promise<ProductChoice[]> {
  return (await searchProducts(db, shopId, { words, onOffer, limit: MAX_FOUND })).map(choiceOf)
}

const choiceOf = ({ id, publicId, sku, title }: Product): ProductChoice => ({ id, publicId, sku, title })
