import { decodeFile } from '../../core/formats/decodeFile'
import { say } from '../../core/words/say'
import { readOrderFile, type OrderFile, type OrderRow } from '../../core/proof/orderFile'
import { ordersSummary, upsertOrders, type OrdersTaken } from '../data/orderWriting'
import type { Shop } from '../data/shops'
import { writing } from '../data/writing'
import type { Services } from '../services'
import { proveAnew, type ProofChange } from './proveAnew'

/** Short enough that nobody else waits noticeably for the database. */
const AT_A_TIME = 100

export interface OrdersReport extends OrdersTaken {
  rows: number
  problems: OrderFile['problems']
  /** Reviews whose proof is another one than before. */
  changes: ProofChange[]
}

export type BringOutcome = { outcome: 'taken'; report: OrdersReport } | { outcome: 'unreadable'; why: string }

/** Takes a CSV of orders: rows that are right come in or up to date, and proof is looked for anew. */
export async function bringOrders(services: Services, shop: Shop, bytes: Uint8Array): Promise<BringOutcome> {
  let file: OrderFile
  try {
    file = readOrderFile(decodeFile(bytes))
  } catch (error) {
    return { outcome: 'unreadable', why: error instanceof Error ? error.message : String(error) }
  }
  const isNamed = ({ productSku, productTitle }: OrderRow) => productSku !== '' || productTitle !== ''
  const named = file.rows.filter(isNamed)
  const problems = [
    ...file.problems,
    ...file.rows
      .filter((row) => !isNamed(row))
      .map(({ row }) => ({ row, field: 'product_sku', reason: say('orders.file.noProduct') })),
  ].sort((a, b) => a.row - b.row)
  const sum: OrdersTaken = { newOrders: 0, newLines: 0, changedLines: 0, newProducts: 0 }
  const now = services.now().toISOString()
  for (let from = 0; from < named.length; from += AT_A_TIME) {
    const taken = await writing(services.db, (trx) =>
      upsertOrders(trx, shop.id, named.slice(from, from + AT_A_TIME), services.newId, now),
    )
    for (const key of Object.keys(sum) as (keyof OrdersTaken)[]) sum[key] += taken[key]
    await new Promise(setImmediate)
  }
  const changes = await proveAnew(services, shop)
  services.changes.announce(shop.id)
  services.wakeJobs()
  return { outcome: 'taken', report: { ...sum, rows: named.length, problems, changes } }
}

/** What is known of the shop's orders. */
export function ordersView({ db }: Services, shop: Shop) {
  return ordersSummary(db, shop.id)
}
