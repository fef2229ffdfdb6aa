import { keysOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import { emailKeyOf } from '../../core/proof/emailKey'
import type { OrderRow } from '../../core/proof/orderFile'
import { orderNumberKey } from '../../core/proof/orderNumber'
import { productRow, skuKey } from './products'

interface OrdersTaken {
  newOrders: number
  newLines: number
  changedLines: number
  newProducts: number
}

/** Inserts and updates orders in a few statements. Importing the same file again duplicates nothing. */
export async function upsertOrders(
  trx: Knex.Transaction,
  shopId: number,
  rows: OrderRow[],
  newId: () => string,
  now: string,
): Promise<OrdersTaken> {
  const products = await productsOf(trx, shopId, rows, newId)
  const purchases = await purchasesOf(trx, shopId, rows, newId, now)
  const lines = await upsertLines(
    trx,
    shopId,
    rows.map((row, i) => ({
      purchaseId: purchases.ids.get(orderNumberKey(row.number))!,
      productId: products.ids[i]!,
      status: row.status,
      deliveredAt: row.deliveredAt,
    })),
  )
  return { ...lines, newOrders: purchases.added, newProducts: products.added }
}

/**
 * Finds the product of each row by SKU, otherwise by title. A new product without a SKU gets its title as
 * SKU.
 */
async function productsOf(
  trx: Knex.Transaction,
  shopId: number,
  rows: OrderRow[],
  newId: () => string,
): Promise<{ ids: number[]; added: number }> {
  const skuOf = ({ productSku, productTitle }: OrderRow) => productSku || productTitle
  const product = () => trx('product').where({ shop_id: shopId }).orderBy('id')
  const bySku = new Map<string, number>()
  const byTitle = new Map<string, number>()
  const skus = [...new Set(rows.map((row) => skuKey(skuOf(row))))]
  const named: { id: number; key: string }[] = await product()
    .whereIn('sku_key', skus)
    .select({ id: 'id', key: 'sku_key' })
  const earlier: { id: number; key: string }[] = await trx('product_alias')
    .where({ shop_id: shopId })
    .whereIn('sku_key', skus)
    .select({ id: 'product_id', key: 'sku_key' })
  for (const { id, key } of [...named, ...earlier]) if (!bySku.has(key)) bySku.set(key, id)
  // Several products can have the same title, so a title decides only if no SKU is given.
  const titles = [...new Set(rows.filter((row) => row.productSku === '').map((row) => row.productTitle))]
  const titled: { id: number; title: string }[] = await product()
    .whereIn('title', titles)
    .select('id', 'title')
  for (const { id, title } of titled) if (!byTitle.has(title)) byTitle.set(title, id)

  const ids: number[] = []
  let added = 0
  for (const row of rows) {
    const sku = skuOf(row)
    let id = bySku.get(skuKey(sku)) ?? (row.productSku === '' ? byTitle.get(row.productTitle) : undefined)
    if (id === undefined) {
      const title = row.productTitle || sku
      ;[id] = await trx('product').insert(productRow(shopId, newId(), { sku, title }))
      bySku.set(skuKey(sku), id!)
      if (!byTitle.has(title)) byTitle.set(title, id!)
      added++
    }
    ids.push(id!)
  }
  return { ids, added }
}

/** A file without a column keeps what an earlier file contained. */
interface OrderFacts {
  email?: string
  email_key?: string
  name?: string
  placed_at?: string
}

async function purchasesOf(
  trx: Knex.Transaction,
  shopId: number,
  rows: OrderRow[],
  newId: () => string,
  now: string,
): Promise<{ ids: Map<string, number>; added: number }> {
  const given = new Map<string, { first: OrderRow; facts: OrderFacts }>()
  for (const row of rows) {
    const key = orderNumberKey(row.number)
    const one = given.get(key) ?? { first: row, facts: {} }
    Object.assign(one.facts, {
      ...(row.email !== '' && { email: row.email, email_key: emailKeyOf(row.email) }),
      ...(row.name !== '' && { name: row.name }),
      ...(row.placedAt !== null && { placed_at: row.placedAt }),
    })
    given.set(key, one)
  }
  const known: ({ id: number; number_key: string } & Required<OrderFacts>)[] = await trx('purchase')
    .where({ shop_id: shopId })
    .whereIn('number_key', [...given.keys()])
    .select('id', 'number_key', 'email', 'email_key', 'name', 'placed_at')
  const ids = new Map(known.map(({ id, number_key }) => [number_key, id]))
  for (const before of known) {
    const { facts } = given.get(before.number_key)!
    const isOther = keysOf(facts).some((part) => before[part] !== facts[part])
    if (isOther) await trx('purchase').where({ id: before.id }).update(facts)
  }
  const fresh = [...given].filter(([key]) => !ids.has(key))
  if (fresh.length > 0) {
    const added: { id: number; number_key: string }[] = await trx('purchase')
      .insert(
        fresh.map(([key, { first, facts }]) => ({
          shop_id: shopId,
          public_id: newId(),
          number: first.number,
          number_key: key,
          email: '',
          email_key: '',
          name: '',
          placed_at: first.placedAt ?? first.deliveredAt ?? now,
          ...facts,
        })),
      )
      .returning(['id', 'number_key'])
    for (const { id, number_key } of added) ids.set(number_key, id)
  }
  return { ids, added: fresh.length }
}

interface NewLine {
  purchaseId: number
  productId: number
  status: string
  deliveredAt: string | null
}

async function upsertLines(
  trx: Knex.Transaction,
  shopId: number,
  lines: NewLine[],
): Promise<Pick<OrdersTaken, 'newLines' | 'changedLines'>> {
  const keyOf = (purchase: number, product: number) => `${purchase} ${product}`
  const known: {
    id: number
    purchase_id: number
    product_id: number
    status: string
    delivered_at: string | null
  }[] = await trx('purchase_line')
    .whereIn('purchase_id', [...new Set(lines.map(({ purchaseId }) => purchaseId))])
    .select('id', 'purchase_id', 'product_id', 'status', 'delivered_at')
  const before = new Map(known.map((line) => [keyOf(line.purchase_id, line.product_id), line]))
  // The last row with the same order line wins.
  const given = new Map(lines.map((line) => [keyOf(line.purchaseId, line.productId), line]))
  const fresh = [...given].filter(([key]) => !before.has(key)).map(([, line]) => line)
  let changedLines = 0
  for (const [key, { status, deliveredAt }] of given) {
    const line = before.get(key)
    if (!line || (line.status === status && line.delivered_at === deliveredAt)) continue
    await trx('purchase_line').where({ id: line.id }).update({ status, delivered_at: deliveredAt })
    changedLines++
  }
  if (fresh.length > 0)
    await trx('purchase_line').insert(
      fresh.map(({ purchaseId, productId, status, deliveredAt }) => ({
        shop_id: shopId,
        purchase_id: purchaseId,
        product_id: productId,
        status,
        delivered_at: deliveredAt,
      })),
    )
  return { newLines: fresh.length, changedLines }
}

export async function ordersSummary(
  db: Knex,
  shopId: number,
): Promise<{ count: number; newest: string | null }> {
  const { count } = await db('shop').where({ id: shopId }).first<{ count: number }>({ count: 'orders' })
  const newest = await db('purchase')
    .where({ shop_id: shopId })
    .max({ at: 'placed_at' })
    .first<{ at: string | null }>()
  return { count, newest: newest.at }
}
