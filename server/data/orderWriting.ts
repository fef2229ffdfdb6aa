import { keysOf } from '../../core/formats/keysOf'
import type { Knex } from 'knex'
import { emailKeyOf } from '../../core/proof/emailKey'
import type { OrderRow } from '../../core/proof/orderFile'
import { orderNumberKey } from '../../core/proof/orderNumber'
import { insertProduct, skuKey } from './products'
import { tables } from './schema/tables'
import { insertAll, row } from './rows'
import { pick, readAll, readFirst, readOne, type Selected } from './select'

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
  const named = await readAll(product().whereIn('sku_key', skus), {
    id: tables.product.id,
    key: tables.product.skuKey,
  })
  const earlier = await readAll(trx('product_alias').where({ shop_id: shopId }).whereIn('sku_key', skus), {
    id: tables.productAlias.productId,
    key: tables.productAlias.skuKey,
  })
  for (const { id, key } of [...named, ...earlier]) if (!bySku.has(key)) bySku.set(key, id)
  // Several products can have the same title, so a title decides only if no SKU is given.
  const titles = [...new Set(rows.filter((row) => row.productSku === '').map((row) => row.productTitle))]
  const titled = await readAll(product().whereIn('title', titles), pick(tables.product, 'id', 'title'))
  for (const { id, title } of titled) if (!byTitle.has(title)) byTitle.set(title, id)

  const ids: number[] = []
  let added = 0
  for (const row of rows) {
    const sku = skuOf(row)
    let id = bySku.get(skuKey(sku)) ?? (row.productSku === '' ? byTitle.get(row.productTitle) : undefined)
    if (id === undefined) {
      const title = row.productTitle || sku
      id = await insertProduct(trx, shopId, newId(), { sku, title })
      bySku.set(skuKey(sku), id)
      if (!byTitle.has(title)) byTitle.set(title, id)
      added++
    }
    ids.push(id)
  }
  return { ids, added }
}

/** A file without a column keeps what an earlier file contained. */
type OrderFacts = Partial<Selected<typeof orderFacts>>
const orderFacts = pick(tables.purchase, 'email', 'emailKey', 'name', 'placedAt')

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
      ...(row.email !== '' && { email: row.email, emailKey: emailKeyOf(row.email) }),
      ...(row.name !== '' && { name: row.name }),
      ...(row.placedAt !== null && { placedAt: row.placedAt }),
    })
    given.set(key, one)
  }
  const numbered = (keys: string[]) =>
    readAll(trx('purchase').where({ shop_id: shopId }).whereIn('number_key', keys), {
      ...pick(tables.purchase, 'id', 'numberKey'),
      ...orderFacts,
    })
  const known = await numbered([...given.keys()])
  const ids = new Map(known.map(({ id, numberKey }) => [numberKey, id]))
  for (const before of known) {
    const { facts } = given.get(before.numberKey)!
    const isOther = keysOf(facts).some((part) => before[part] !== facts[part])
    if (isOther) await trx('purchase').where({ id: before.id }).update(row(tables.purchase, facts))
  }
  const fresh = [...given].filter(([key]) => !ids.has(key))
  await insertAll(
    trx,
    tables.purchase,
    fresh.map(([numberKey, { first, facts }]) => ({
      shopId,
      publicId: newId(),
      number: first.number,
      numberKey,
      email: '',
      emailKey: '',
      name: '',
      placedAt: first.placedAt ?? first.deliveredAt ?? now,
      ...facts,
    })),
  )
  for (const { id, numberKey } of await numbered(fresh.map(([key]) => key))) ids.set(numberKey, id)
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
  const known = await readAll(
    trx('purchase_line').whereIn('purchase_id', [...new Set(lines.map(({ purchaseId }) => purchaseId))]),
    pick(tables.purchaseLine, 'id', 'purchaseId', 'productId', 'status', 'deliveredAt'),
  )
  const before = new Map(known.map((line) => [keyOf(line.purchaseId, line.productId), line]))
  // The last row with the same order line wins.
  const given = new Map(lines.map((line) => [keyOf(line.purchaseId, line.productId), line]))
  const fresh = [...given].filter(([key]) => !before.has(key)).map(([, line]) => line)
  let changedLines = 0
  for (const [key, { status, deliveredAt }] of given) {
    const line = before.get(key)
    if (!line || (line.status === status && line.deliveredAt === deliveredAt)) continue
    await trx('purchase_line')
      .where({ id: line.id })
      .update(row(tables.purchaseLine, { status, deliveredAt }))
    changedLines++
  }
  await insertAll(
    trx,
    tables.purchaseLine,
    fresh.map((line) => ({ ...line, shopId })),
  )
  return { newLines: fresh.length, changedLines }
}

export async function ordersSummary(
  db: Knex,
  shopId: number,
): Promise<{ count: number; newest: string | null }> {
  const { orders } = await readOne(db('shop').where({ id: shopId }), pick(tables.shop, 'orders'))
  const latest = await readFirst(
    db('purchase').where({ shop_id: shopId }).orderBy('placed_at', 'desc'),
    pick(tables.purchase, 'placedAt'),
  )
  return { count: orders, newest: latest?.placedAt ?? null }
}
