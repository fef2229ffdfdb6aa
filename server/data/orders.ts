import type { Knex } from 'knex'
import type { OrderLine } from '../../core/proof/matchOrder'

/** The lines of every order of a shop whose number has this key. */
export async function orderLinesByNumber(db: Knex, shopId: number, numberKey: string): Promise<OrderLine[]> {
  return db('purchase_line')
    .join('purchase', 'purchase.id', 'purchase_line.purchase_id')
    .join('product', 'product.id', 'purchase_line.product_id')
    .where({ 'purchase.shop_id': shopId, 'purchase.number_key': numberKey })
    .select({
      id: 'purchase_line.id',
      orderNumber: 'purchase.number',
      email: 'purchase.email',
      name: 'purchase.name',
      productSku: 'product.sku',
      productTitle: 'product.title',
      placedAt: 'purchase.placed_at',
      deliveredAt: 'purchase_line.delivered_at',
      status: 'purchase_line.status',
    })
}

/** Which of some order number keys are orders of this shop. */
export async function knownOrderKeys(db: Knex, shopId: number, keys: string[]): Promise<string[]> {
  if (keys.length === 0) return []
  return db('purchase').where({ shop_id: shopId }).whereIn('number_key', keys).distinct().pluck('number_key')
}
