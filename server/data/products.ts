import type { Knex } from 'knex'
import type { Writers } from '../../core/intake/writers'

export interface Product {
  id: number
  publicId: string
  sku: string
  title: string
  /** The file of its picture. */
  picture: string | null
  /** The address of its page; may be empty. */
  pageUrl: string
  /** Forms no longer offer it; its reviews stay. */
  retired: boolean
  /** Who can write about it; null for what the form says. */
  writers: Writers | null
}

const columns = {
  id: 'product.id',
  publicId: 'product.public_id',
  sku: 'product.sku',
  title: 'product.title',
  picture: 'product.picture',
  pageUrl: 'product.page_url',
  retired: 'product.retired',
  writers: 'product.writers',
}
type Row = Omit<Product, 'retired'> & { retired: 0 | 1 }
const read = ({ retired, ...row }: Row): Product => ({ ...row, retired: retired === 1 })

/** SKUs that differ only in case are the same. */
export const skuKey = (sku: string): string => sku.trim().toLowerCase()

/** The products of a shop by title, also retired ones, without those that were merged into others. */
export async function productsOfShop(db: Knex, shopId: number): Promise<Product[]> {
  const rows: Row[] = await db('product')
    .where({ shop_id: shopId, merged_into: null })
    .orderBy('title')
    .select(columns)
  return rows.map(read)
}

export async function findProduct(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<Product | null> {
  const query = db('product').where({ 'product.shop_id': shopId, merged_into: null })
  if ('id' in which) query.where('product.id', which.id)
  else query.where('product.public_id', which.publicId)
  const row: Row | undefined = await query.first(columns)
  return row ? read(row) : null
}

/** The products by the keys of their SKUs, earlier SKUs and the SKUs of products merged into them. */
export async function productsBySku(db: Knex, shopId: number): Promise<Map<string, Product>> {
  const products = new Map((await productsOfShop(db, shopId)).map((product) => [product.id, product]))
  const others: { sku: string; productId: number }[] = [
    ...(await db('product_alias')
      .where({ shop_id: shopId })
      .select({ sku: 'sku_key', productId: 'product_id' })),
    ...(await db('product')
      .where({ shop_id: shopId })
      .whereNotNull('merged_into')
      .select({ sku: 'sku', productId: 'merged_into' })),
  ]
  const found = new Map<string, Product>()
  for (const { sku, productId } of others) {
    const product = products.get(productId)
    if (product) found.set(skuKey(sku), product)
  }
  for (const product of products.values()) found.set(skuKey(product.sku), product)
  return found
}

/** The keys of the SKUs of some products; null for no product. */
export async function skuKeysOf(
  db: Knex,
  shopId: number,
  ids: (number | null)[],
): Promise<(string | null)[]> {
  const rows: { id: number; sku: string }[] = await db('product')
    .where({ shop_id: shopId })
    .whereIn('id', [...new Set(ids.filter((id) => id !== null))])
    .select('id', 'sku')
  const keys = new Map(rows.map(({ id, sku }) => [id, skuKey(sku)]))
  return ids.map((id) => (id === null ? null : (keys.get(id) ?? null)))
}

/** The product with a SKU, or with one that leads to it. */
export async function productWithSku(db: Knex, shopId: number, sku: string): Promise<Product | undefined> {
  return sku === '' ? undefined : (await productsBySku(db, shopId)).get(skuKey(sku))
}

/** Counts order lines, those of merged products included. */
const SOLD = `(SELECT ifnull(sum(part.sold), 0) FROM product AS part
  WHERE part.shop_id = product.shop_id AND (part.id = product.id OR part.merged_into = product.id))`

/** Products on offer without a review other than spam and declined ones, most sold first. */
export async function productsWithoutReview(
  db: Knex,
  shopId: number,
): Promise<(Pick<Product, 'sku' | 'title' | 'picture'> & { sold: number })[]> {
  return db('product')
    .where({ 'product.shop_id': shopId, 'product.merged_into': null, 'product.retired': 0 })
    .whereNotExists(
      db('review')
        .whereRaw('review.product_id = product.id')
        .whereIn('review.state', ['waiting', 'held', 'approved']),
    )
    .orderBy([{ column: 'sold', order: 'desc' }, { column: 'title' }])
    .select('sku', 'title', 'picture', { sold: db.raw(SOLD) })
}

/** The numbers of approved reviews of each product. */
export async function approvedOfProducts(db: Knex, shopId: number): Promise<Map<number, number>> {
  const rows: { productId: number; count: number }[] = await db('review_count')
    .where({ shop_id: shopId, state: 'approved' })
    .groupBy('product_id')
    .select({ productId: 'product_id' })
    .sum({ count: 'count' })
  return new Map(rows.map(({ productId, count }) => [productId, count]))
}

export interface ProductFields {
  sku: string
  title: string
  picture: string | null
  pageUrl: string
}

const stored = ({ sku, title, picture, pageUrl }: ProductFields) => ({
  sku,
  title,
  picture,
  page_url: pageUrl,
})

export async function insertProduct(
  trx: Knex.Transaction,
  shopId: number,
  publicId: string,
  fields: ProductFields,
): Promise<number> {
  const [id] = await trx('product').insert({ shop_id: shopId, public_id: publicId, ...stored(fields) })
  return id!
}

/** An earlier SKU goes on leading to the product. */
export async function updateProduct(
  trx: Knex.Transaction,
  shopId: number,
  product: Pick<Product, 'id' | 'sku'>,
  fields: ProductFields,
): Promise<void> {
  await trx('product').where({ shop_id: shopId, id: product.id }).update(stored(fields))
  if (skuKey(product.sku) === skuKey(fields.sku)) return
  await trx('product_alias')
    .insert({ shop_id: shopId, sku_key: skuKey(product.sku), product_id: product.id })
    .onConflict(['shop_id', 'sku_key'])
    .merge(['product_id'])
}

export async function setRetired(
  trx: Knex.Transaction,
  shopId: number,
  id: number,
  retired: boolean,
): Promise<void> {
  await trx('product').where({ shop_id: shopId, id }).update({ retired })
}

/** Returns false if the shop has no such product. */
export async function setProductWriters(
  db: Knex,
  shopId: number,
  publicId: string,
  writers: Writers | null,
): Promise<boolean> {
  return (await db('product').where({ shop_id: shopId, public_id: publicId }).update({ writers })) > 0
}

/** Products that were merged into the first one move along. Returns their ids. */
export async function setMerged(
  trx: Knex.Transaction,
  shopId: number,
  id: number,
  into: number,
): Promise<number[]> {
  const along: number[] = await trx('product').where({ shop_id: shopId, merged_into: id }).pluck('id')
  await trx('product')
    .where({ shop_id: shopId })
    .whereIn('id', [id, ...along])
    .update({ merged_into: into })
  return along
}

export async function clearMerged(
  trx: Knex.Transaction,
  shopId: number,
  id: number,
  along: number[],
): Promise<void> {
  await trx('product').where({ shop_id: shopId, id }).update({ merged_into: null })
  await trx('product').where({ shop_id: shopId }).whereIn('id', along).update({ merged_into: id })
}

/** Whether a review or an order refers to the product, or another was merged into it. */
export async function isProductUsed(trx: Knex.Transaction, shopId: number, id: number): Promise<boolean> {
  const uses = [
    trx('review').where({ product_id: id }),
    trx('purchase_line').where({ product_id: id }),
    trx('product').where({ shop_id: shopId, merged_into: id }),
  ]
  for (const use of uses) if (await use.first('id')) return true
  return false
}

export async function deleteProduct(trx: Knex.Transaction, shopId: number, id: number): Promise<void> {
  await trx('product_alias').where({ shop_id: shopId, product_id: id }).delete()
  await trx('product').where({ shop_id: shopId, id }).delete()
}
