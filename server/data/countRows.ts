import type { Knex } from 'knex'
import { z } from 'zod'
import { readOne, value } from './select'

export async function countRows(query: Knex.QueryBuilder): Promise<number> {
  const { count } = await readOne(query, { count: value(z.number(), query.client.raw('count(*)')) })
  return count
}
