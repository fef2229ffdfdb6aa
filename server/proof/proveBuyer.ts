import type { Knex } from 'knex'
import { emailKeyOf } from '../../core/proof/emailKey'
import { matchOrder, type OrderLine, type ProofFailure, type ProofMethod } from '../../core/proof/matchOrder'
import { orderNumberKey } from '../../core/proof/orderNumber'
import { orderLinesOf } from '../data/orders'
import type { Shop } from '../data/shops'

interface BuyerClaim {
  authorName: string
  /** The confirmed email address; empty if it is only typed. */
  provenEmail: string
  orderNumber: string
  productSku: string
  writtenAt: string
}

export type BuyerProof =
  | { line: OrderLine; by: ProofMethod; failure: null }
  | { line: null; failure: ProofFailure }

/** The order line that verifies the purchase, or the reason why there is none. */
export async function proveBuyer(db: Knex, shop: Shop, claim: BuyerClaim): Promise<BuyerProof> {
  const lines = await orderLinesOf(db, shop.id, {
    numberKey: orderNumberKey(claim.orderNumber),
    emailKey: emailKeyOf(claim.provenEmail),
  })
  const match = matchOrder({ ...claim, product: claim.productSku }, lines, shop.timeZone)
  return 'line' in match ? { ...match, failure: null } : { line: null, failure: match.failure }
}
