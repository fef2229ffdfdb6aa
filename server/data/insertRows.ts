import type { Knex } from 'knex'

type Value = string | number | boolean | null

/** Inserts any number of rows by one statement. All have the columns of the first. */
export async function insertRows(
  trx: Knex.Transaction,
  table: string,
  rows: Record<string, Value>[],
): Promise<void> {
  const [first] = rows
  if (!first) return
  const columns = Object.keys(first)
  await trx.raw(
    `INSERT INTO ${table} (${columns.map((column) => `"${column}"`).join(', ')})
      SELECT ${columns.map((_, i) => `value ->> ${i}`).join(', ')} FROM json_each(?)`,
    [JSON.stringify(rows.map((row) => columns.map((column) => row[column])))],
  )
}

/** The ids of the next rows of some tables. Call it in the transaction that inserts them, after the first write. */
export async function nextIds<T extends string>(
  trx: Knex.Transaction,
  ...tables: T[]
): Promise<Record<T, number>> {
  const rows: unknown = await trx.raw(
    `SELECT ${tables.map((table) => `(SELECT ifnull(max(id), 0) + 1 FROM ${table}) AS ${table}`).join(', ')}`,
  )
  const [ids] = rows as [Record<T, number>]
  return ids
}
