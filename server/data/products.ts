import type { Knex } from 'knex'
import { normalizedWords, normalizeText } from '../../core/formats/normalizeText'
import { countRows } from './countRows'
import type { Writers } from '../../core/intake/writers'
import { tables } from './schema/tables'
import { insert, newRow, row, whereOf } from './rows'
import { hasRows, pick, readAll, readFirst, type Selected } from './select'
import type { NewRow } from './table'

const columns = pick(
  tables.product,
  'id',
  'publicId',
  'sku',
  'title',
  'picture',
  'pageUrl',
  'retired',
  'writers',
)
export type Product = Selected<typeof columns>

const MAX_KEYS_AT_ONCE = 500
const MAX_SEARCHED_WORDS = 8
/** Letters of a word that `product_text` has. */
const SHORTEST_INDEXED = 3
/** Those that share the words of a title; more are too many to tell apart. */
const MAX_SAME_TITLES = 200
const MAX_FEW = 500

/** SKUs that differ only in case are the same. */
export const skuKey = (sku: string): string => sku.trim().toLowerCase()

/** What a search by words looks at. */
const searchTextOf = ({ title, sku }: Pick<Product, 'title' | 'sku'>): string =>
  normalizeText(`${title} ${sku}`)

const present = (db: Knex, shopId: number) =>
  db('product').where(whereOf(tables.product, { shopId, mergedInto: null }))

/** The number of a shop's products, also of retired ones, without those that were merged into others. */
export const countProducts = (db: Knex, shopId: number): Promise<number> => countRows(present(db, shopId))

interface ProductQuery {
  /** All of these words are in its title or SKU; empty for all products. */
  words?: string
  /** Whether retired ones are left out. */
  onOffer?: boolean
  limit: number
  offset?: number
}

/** A product with the number of its approved reviews. */
export type ListedProduct = Product & { approved: number }

/** Products that match, those on offer first, the ones with most orders and reviews leading. */
export async function searchProducts(
  db: Knex,
  shopId: number,
  { words = '', onOffer = false, limit, offset = 0 }: ProductQuery,
): Promise<ListedProduct[]> {
  const few = words.trim() === '' ? null : await fewMatches(db, shopId, words)
  const query = few
    ? db('product').whereIn('id', few)
    : containing(db.from(db.raw('product INDEXED BY product_by_use')), words)
  if (onOffer) query.where({ retired: 0 })
  return readAll(
    query
      .where({ shop_id: shopId, merged_into: null })
      .orderBy(['retired', { column: 'uses', order: 'desc' }, 'title'])
      .limit(limit)
      .offset(offset),
    { ...columns, approved: tables.product.approved },
  )
}

/**
 * The ids of the products that contain some words; null if there are many. An index holds all that this reads. Of many,
 * the first ones are found soon in the order of their use.
 */
async function fewMatches(db: Knex, shopId: number, words: string): Promise<number[] | null> {
  const ids: number[] = await matching(db, shopId, words)
    .limit(MAX_FEW + 1)
    .pluck('product.id')
  return ids.length > MAX_FEW ? null : ids
}

/** The number of products that match. */
export const countMatching = (db: Knex, shopId: number, words: string): Promise<number> =>
  countRows(matching(db, shopId, words))

const wordsIn = (words: string): string[] => normalizedWords(words).slice(0, MAX_SEARCHED_WORDS)

function matching(db: Knex, shopId: number, words: string): Knex.QueryBuilder {
  const indexed = wordsIn(words).filter((word) => [...word].length >= SHORTEST_INDEXED)
  const query =
    indexed.length === 0
      ? db.from(db.raw('product INDEXED BY product_by_text'))
      : db
          .from(db.raw('product_text CROSS JOIN product ON product.id = product_text.rowid'))
          .whereRaw(
            'product_text MATCH ?',
            indexed.map((word) => `"${word.replaceAll('"', '""')}"`).join(' AND '),
          )
  return containing(query, words).where({ shop_id: shopId, merged_into: null })
}

function containing(query: Knex.QueryBuilder, words: string): Knex.QueryBuilder {
  for (const word of wordsIn(words)) query.whereRaw('instr(product.search_text, ?) > 0', word)
  return query
}

export async function productsWithIds(
  db: Knex,
  shopId: number,
  ids: readonly (number | null)[],
): Promise<Map<number, Product>> {
  const rows = await readAll(
    present(db, shopId).whereIn('id', [...new Set(ids.filter((id) => id !== null))]),
    columns,
  )
  return new Map(rows.map((product) => [product.id, product]))
}

export async function findProduct(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<Product | null> {
  const query = present(db, shopId).where(whereOf(tables.product, which))
  return (await readFirst(query, columns)) ?? null
}

/**
 * The products with some SKUs, by the keys of these. Earlier SKUs, and those of products that were merged into others,
 * lead to the present product.
 */
export async function productsWithSkus(
  db: Knex,
  shopId: number,
  skus: readonly string[],
): Promise<Map<string, Product>> {
  const found = new Map<string, Product>()
  const keys = [...new Set(skus.map(skuKey))].filter(Boolean)
  for (let start = 0; start < keys.length; start += MAX_KEYS_AT_ONCE) {
    const some = keys.slice(start, start + MAX_KEYS_AT_ONCE)
    const withKeys = (table: string) => db(table).where({ shop_id: shopId }).whereIn('sku_key', some)
    const own = await readAll(withKeys('product'), {
      key: tables.product.skuKey,
      id: tables.product.id,
      into: tables.product.mergedInto,
    })
    const earlier = await readAll(withKeys('product_alias'), {
      key: tables.productAlias.skuKey,
      id: tables.productAlias.productId,
    })
    const products = await productsWithIds(db, shopId, [
      ...own.map(({ id, into }) => into ?? id),
      ...earlier.map(({ id }) => id),
    ])
    // The present SKU of a product wins over those that once were others'.
    const merged = own.filter(({ into }) => into !== null).map(({ key, into }) => ({ key, id: into! }))
    for (const { key, id } of [...earlier, ...merged, ...own.filter(({ into }) => into === null)]) {
      const product = products.get(id)
      if (product) found.set(key, product)
    }
  }
  return found
}

/** The keys of the SKUs of some products; null for no product. */
export async function skuKeysOf(
  db: Knex,
  shopId: number,
  ids: (number | null)[],
): Promise<(string | null)[]> {
  const rows = await readAll(
    db('product')
      .where({ shop_id: shopId })
      .whereIn('id', [...new Set(ids.filter((id) => id !== null))]),
    pick(tables.product, 'id', 'sku'),
  )
  const keys = new Map(rows.map(({ id, sku }) => [id, skuKey(sku)]))
  return ids.map((id) => (id === null ? null : (keys.get(id) ?? null)))
}

/** The product with a SKU, or with one that leads to it. */
export async function productWithSku(db: Knex, shopId: number, sku: string): Promise<Product | undefined> {
  return (await productsWithSkus(db, shopId, [sku])).get(skuKey(sku))
}

/** The only product on offer with a title, whatever its case and spaces; null if there is none, or several. */
export async function findProductByTitle(db: Knex, shopId: number, title: string): Promise<Product | null> {
  const wanted = normalizeText(title).trim()
  if (wanted === '') return null
  const found = await searchProducts(db, shopId, { words: title, onOffer: true, limit: MAX_SAME_TITLES })
  const same = found.filter((row) => normalizeText(row.title).trim() === wanted)
  return same.length === 1 ? same[0]! : null
}

const unreviewed = (db: Knex, shopId: number) =>
  db
    .from(db.raw('product INDEXED BY product_unreviewed'))
    .where({ shop_id: shopId, merged_into: null })
    // The condition of the partial index.
    .whereRaw('retired = 0 AND reviews = 0')

/** Products on offer without a review other than spam and declined ones, most sold first, and how many there are. */
export async function productsWithoutReview(
  db: Knex,
  shopId: number,
  limit: number,
): Promise<{ first: (Pick<Product, 'sku' | 'title' | 'picture'> & { sold: number })[]; count: number }> {
  return {
    first: await readAll(
      unreviewed(db, shopId)
        .orderBy([{ column: 'sold', order: 'desc' }, { column: 'title' }])
        .limit(limit),
      pick(tables.product, 'sku', 'title', 'picture', 'sold'),
    ),
    count: await countRows(unreviewed(db, shopId)),
  }
}

type ProductFields = Pick<Product, 'sku' | 'title'> & Partial<Pick<Product, 'picture' | 'pageUrl'>>

const stored = ({ sku, title, picture, pageUrl }: ProductFields) => ({
  sku,
  title,
  ...(picture !== undefined && { picture }),
  ...(pageUrl !== undefined && { pageUrl }),
  skuKey: skuKey(sku),
  searchText: searchTextOf({ title, sku }),
})

export const productRow = (
  shopId: number,
  publicId: string,
  fields: ProductFields,
): NewRow<typeof tables.product> => ({ shopId, publicId, ...stored(fields) })

export async function insertProduct(
  trx: Knex,
  shopId: number,
  publicId: string,
  fields: ProductFields,
): Promise<number> {
  return insert(trx, tables.product, productRow(shopId, publicId, fields))
}

/** An earlier SKU goes on leading to the product. */
export async function updateProduct(
  trx: Knex.Transaction,
  shopId: number,
  product: Pick<Product, 'id' | 'sku'>,
  fields: ProductFields,
): Promise<void> {
  await trx('product')
    .where({ shop_id: shopId, id: product.id })
    .update(row(tables.product, stored(fields)))
  if (skuKey(product.sku) === skuKey(fields.sku)) return
  await trx('product_alias')
    .insert(newRow(tables.productAlias, { shopId, skuKey: skuKey(product.sku), productId: product.id }))
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
  await recountSold(trx, [id, into])
  return along
}

/** The order lines of products, those of the products that were merged into them included. */
async function recountSold(trx: Knex.Transaction, ids: number[]): Promise<void> {
  await trx('product')
    .whereIn('id', ids)
    .update({
      sold: trx.raw(`(SELECT count(*) FROM purchase_line WHERE product_id = product.id)
        + (SELECT count(*) FROM product AS part JOIN purchase_line ON purchase_line.product_id = part.id
          WHERE part.merged_into = product.id)`),
    })
}

export async function clearMerged(
  trx: Knex.Transaction,
  shopId: number,
  { id, into, along }: { id: number; into: number; along: number[] },
): Promise<void> {
  await trx('product').where({ shop_id: shopId, id }).update({ merged_into: null })
  await trx('product').where({ shop_id: shopId }).whereIn('id', along).update({ merged_into: id })
  await recountSold(trx, [id, into])
}

/** Whether a review or an order refers to the product, or another was merged into it. */
export async function isProductUsed(trx: Knex.Transaction, shopId: number, id: number): Promise<boolean> {
  const uses = [
    trx('review').where({ product_id: id }),
    trx('purchase_line').where({ product_id: id }),
    trx('product').where({ shop_id: shopId, merged_into: id }),
  ]
  for (const use of uses) if (await hasRows(use)) return true
  return false
}

export async function deleteProduct(trx: Knex.Transaction, shopId: number, id: number): Promise<void> {
  await trx('product_alias').where({ shop_id: shopId, product_id: id }).delete()
  await trx('product').where({ shop_id: shopId, id }).delete()
}
