import type { Knex } from 'knex'
import { mailboxKey } from '../../core/proof/mailbox'
import type { OrderRow } from '../../core/proof/orderFile'
import { orderNumberKey } from '../../core/proof/orderNumber'

export interface OrdersTaken {
  newOrders: number
  newLines: number
  changedLines: number
  newProducts: number
}

/** Puts rows of orders in: what is there already is brought up to date, and nothing is ever doubled. */
export async function upsertOrders(
  trx: Knex.Transaction,
  shopId: number,
  rows: OrderRow[],
  newId: () => string,
  now: string,
): Promise<OrdersTaken> {
  const taken: OrdersTaken = { newOrders: 0, newLines: 0, changedLines: 0, newProducts: 0 }
  for (const row of rows) {
    const product = await upsertProduct(trx, shopId, row, newId)
    const purchase = await upsertPurchase(trx, shopId, row, newId, now)
    if (product.isNew) taken.newProducts++
    if (purchase.isNew) taken.newOrders++
    const own = { purchase_id: purchase.id, product_id: product.id }
    const values = { status: row.status, delivered_at: row.deliveredAt }
    const line = await trx('purchase_line')
      .where(own)
      .first<{ id: number } & typeof values>('id', 'status', 'delivered_at')
    if (!line) {
      await trx('purchase_line').insert({ shop_id: shopId, ...own, ...values })
      taken.newLines++
    } else if (line.status !== values.status || line.delivered_at !== values.delivered_at) {
      await trx('purchase_line').where({ id: line.id }).update(values)
      taken.changedLines++
    }
  }
  return taken
}

/** A product by its SKU, else by its title, which then is its SKU as well. */
async function upsertProduct(
  trx: Knex.Transaction,
  shopId: number,
  { productSku, productTitle }: OrderRow,
  newId: () => string,
): Promise<{ id: number; isNew: boolean }> {
  const sku = productSku || productTitle
  const product = () => trx('product').where({ shop_id: shopId })
  const known =
    (await product().whereRaw('lower(sku) = ?', sku.toLowerCase()).first<{ id: number } | undefined>('id')) ??
    // Two products can have one title; only where no SKU is given does it say which is meant.
    (productSku === ''
      ? await product().where({ title: productTitle }).first<{ id: number } | undefined>('id')
      : undefined)
  if (known) return { id: known.id, isNew: false }
  const [id] = await trx('product').insert({
    shop_id: shopId,
    public_id: newId(),
    sku,
    title: productTitle || sku,
  })
  return { id: id!, isNew: true }
}

async function upsertPurchase(
  trx: Knex.Transaction,
  shopId: number,
  row: OrderRow,
  newId: () => string,
  now: string,
): Promise<{ id: number; isNew: boolean }> {
  const numberKey = orderNumberKey(row.number)
  const known = await trx('purchase')
    .where({ shop_id: shopId, number_key: numberKey })
    .first<{ id: number; placed_at: string } | undefined>('id', 'placed_at')
  // A file without a column leaves what an earlier one said.
  const values = {
    ...(row.email !== '' && { email: row.email, mailbox: mailboxKey(row.email) }),
    ...(row.name !== '' && { name: row.name }),
    ...(row.placedAt !== null && { placed_at: row.placedAt }),
  }
  if (known) {
    if (Object.keys(values).length > 0) await trx('purchase').where({ id: known.id }).update(values)
    return { id: known.id, isNew: false }
  }
  const [id] = await trx('purchase').insert({
    shop_id: shopId,
    public_id: newId(),
    number: row.number,
    number_key: numberKey,
    email: '',
    name: '',
    placed_at: row.placedAt ?? row.deliveredAt ?? now,
    ...values,
  })
  return { id: id!, isNew: true }
}

export async function ordersSummary(
  db: Knex,
  shopId: number,
): Promise<{ count: number; newest: string | null }> {
  return db('shop')
    .where({ id: shopId })
    .first<{ count: number; newest: string | null }>({
      count: 'orders',
      newest: db('purchase').whereRaw('purchase.shop_id = shop.id').max('placed_at'),
    })
}
