import type { Knex } from 'knex'
import { indexingInserted } from './schema/counts'

/** Adds new reviews, a range of ids, to the counters, the full-text index and the publishable reviews. */
export async function indexInserted(
  trx: Knex.Transaction,
  { from, to }: { from: number; to: number },
): Promise<void> {
  for (const statement of indexingInserted) await trx.raw(statement, [from, to])
}
