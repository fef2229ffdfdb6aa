import { LETTERS_AROUND } from '../../core/proof/orderNumber'
import type { Knex } from 'knex'
import type { OrderLine } from '../../core/proof/matchOrder'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { pick, readAll } from './select'

/** The lines of orders with this number or email address; an empty key finds none. */
export async function orderLinesOf(
  db: Knex,
  shopId: number,
  { numberKey, emailKey }: { numberKey: string; emailKey: string },
): Promise<OrderLine[]> {
  const ids = await purchasesOf(db, shopId, { numberKey, emailKey })
  if (ids.length === 0) return []
  const query = db('purchase_line')
    .join('purchase', 'purchase.id', 'purchase_line.purchase_id')
    .join('product as ordered', 'ordered.id', 'purchase_line.product_id')
    .join('product', 'product.id', db.raw('ifnull(ordered.merged_into, ordered.id)'))
    .whereIn('purchase_line.purchase_id', ids)
    .orderBy('purchase_line.id')
  return readAll(query, {
    ...pick(tables.purchaseLine, 'id', 'deliveredAt', 'status'),
    ...pick(tables.purchase, 'email', 'name', 'placedAt'),
    orderNumber: tables.purchase.number,
    productSku: tables.product.sku,
    productTitle: tables.product.title,
  })
}

/** Two queries, because SQLite would read all orders of the shop for an OR. */
async function purchasesOf(
  db: Knex,
  shopId: number,
  { numberKey, emailKey }: { numberKey: string; emailKey: string },
): Promise<number[]> {
  const orders = () => db('purchase').where({ shop_id: shopId })
  const ids = new Set<number>()
  if (numberKey !== '') {
    const same: number[] = await orders().where({ number_key: numberKey }).pluck('id')
    // The expression is that of the index. Two tell that the digits alone mean no order.
    const found =
      same.length > 0
        ? same
        : await orders()
            .whereRaw(`trim(number_key, '${LETTERS_AROUND}') = ?`, [numberKey])
            .limit(2)
            .pluck('id')
    for (const id of found) ids.add(id)
  }
  if (emailKey !== '')
    for (const id of await orders().where({ email_key: emailKey }).where('email_key', '<>', '').pluck('id'))
      ids.add(id)
  return [...ids]
}

/** The keys that belong to orders of this shop. */
export async function knownOrderKeys(db: Knex, shopId: number, keys: string[]): Promise<string[]> {
  if (keys.length === 0) return []
  return db('purchase').where({ shop_id: shopId }).whereIn('number_key', keys).distinct().pluck('number_key')
}

export async function ordersSince(db: Knex, shopId: number, since: string): Promise<number> {
  return countRows(db('purchase').where({ shop_id: shopId }).where('placed_at', '>=', since))
}
