import type { Knex } from 'knex'

export async function countRows(query: Knex.QueryBuilder): Promise<number> {
  const row: { count: number } = await query.count({ count: '*' }).first()
  return row.count
}
