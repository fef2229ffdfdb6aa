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

/** The id of the next row of a table. Call it in the transaction that inserts the row, after the first write. */
export async function nextId(trx: Knex.Transaction, table: string): Promise<number> {
  const { last } = await trx(table).max({ last: 'id' }).first<{ last: number | null }>()
  return (last ?? 0) + 1
}
