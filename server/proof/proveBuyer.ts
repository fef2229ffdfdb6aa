import type { Knex } from 'knex'
import { matchOrder, type OrderLine, type ProofFailure } from '../../core/proof/matchOrder'
import { orderNumberKey } from '../../core/proof/orderNumber'
import { orderLinesByNumber } from '../data/orders'
import type { Shop } from '../data/shops'

/** The order line that proves that the writer bought, or why there is none. */
export async function proveBuyer(
  db: Knex,
  shop: Shop,
  claim: { authorName: string; orderNumber: string; productSku: string; writtenAt: string },
): Promise<{ line: OrderLine | null; failure: ProofFailure | null }> {
  const key = orderNumberKey(claim.orderNumber)
  const lines = key ? await orderLinesByNumber(db, shop.id, key) : []
  const match = matchOrder({ ...claim, provenMailbox: '', product: claim.productSku }, lines, shop.timeZone)
  return 'line' in match ? { line: match.line, failure: null } : { line: null, failure: match.failure }
}
