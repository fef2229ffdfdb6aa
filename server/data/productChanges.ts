import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row, whereOf } from './rows'
import { hasRows, readAll, readFirst, type Selected } from './select'
import { all } from './table'

const { shopId: _shop, ...columns } = all(tables.productChange)
/** A change of a product that can be undone. */
export type ProductChange = Selected<typeof columns>
export type ProductChangeKind = ProductChange['kind']

export async function insertProductChange(
  trx: Knex.Transaction,
  shopId: number,
  change: Omit<ProductChange, 'id' | 'undoneAt'>,
): Promise<number> {
  return insert(trx, tables.productChange, { ...change, shopId })
}

export async function findProductChange(
  db: Knex,
  shopId: number,
  which: { id: number } | { publicId: string },
): Promise<ProductChange | null> {
  const query = db('product_change').where(whereOf(tables.productChange, { shopId, ...which }))
  return (await readFirst(query, columns)) ?? null
}

/** The latest changes, latest first. */
export async function latestProductChanges(
  db: Knex,
  shopId: number,
  limit: number,
): Promise<ProductChange[]> {
  return readAll(db('product_change').where({ shop_id: shopId }).orderBy('id', 'desc').limit(limit), columns)
}

/** Whether a later change that still holds has to do with the same products. */
export async function isProductChangeOvertaken(
  db: Knex,
  shopId: number,
  { id, productId, intoId }: ProductChange,
): Promise<boolean> {
  const products = intoId === null ? [productId] : [productId, intoId]
  return hasRows(
    db('product_change')
      .where(whereOf(tables.productChange, { shopId, undoneAt: null }))
      .where('id', '>', id)
      .where((same) => void same.whereIn('product_id', products).orWhereIn('into_id', products)),
  )
}

export async function markProductChangeUndone(trx: Knex.Transaction, id: number, now: string): Promise<void> {
  await trx('product_change')
    .where({ id })
    .update(row(tables.productChange, { undoneAt: now }))
}
