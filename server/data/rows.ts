import type { Knex } from 'knex'
import { z } from 'zod'
import type { Stored } from './columnDefinition'
import { readOne, value } from './select'
import { nameOf, type Column, type NewRow, type Part, type Table } from './table'

/** Columns to insert or update, with the values that SQLite stores. What is undefined, or no column, is left out. */
export function row<T extends Table>(of: T, part: Part<T>): Record<string, Stored | Knex.Raw> {
  const columns: Record<string, Column<unknown>> = of
  return Object.fromEntries(
    Object.entries(part).flatMap(([name, given]) => {
      const column = columns[name]
      if (!column || given === undefined) return []
      return [[column.column, isRaw(given) ? given : column.write(given)]]
    }),
  )
}

/** A whole row to insert, with the values that SQLite stores. */
export const newRow = <T extends Table>(of: T, given: NewRow<T>) => row(of, given)

const isRaw = (given: unknown): given is Knex.Raw =>
  typeof given === 'object' && given !== null && 'toSQL' in given

/**
 * A condition that columns have these values.
 * @throws Error if one is undefined, since leaving it out would match other rows too
 */
export function whereOf<T extends Table>(of: T, part: Part<T>): Record<string, Stored | Knex.Raw> {
  for (const [name, given] of Object.entries(part))
    if (given === undefined) throw new Error(`no value for ${nameOf(of)}.${name}`)
  return Object.fromEntries(
    Object.entries(row(of, part)).map(([column, stored]) => [`${nameOf(of)}.${column}`, stored]),
  )
}

/** Inserts a row, and returns its id. */
export async function insert<T extends Table>(trx: Knex, of: T, given: NewRow<T>): Promise<number> {
  const [rowId] = await trx(nameOf(of)).insert(newRow(of, given))
  return rowId!
}

/** Inserts any number of rows by one statement. All have the columns of the first. */
export const insertAll = <T extends Table>(trx: Knex, of: T, given: NewRow<T>[]): Promise<void> =>
  insertStored(
    trx,
    nameOf(of),
    given.map((one) => newRow(of, one)),
  )

/** The same for rows of columns as SQLite stores them. */
export async function insertStored(trx: Knex, name: string, rows: Record<string, unknown>[]): Promise<void> {
  const [first] = rows
  if (!first) return
  const columns = Object.keys(first)
  await trx.raw(
    `INSERT INTO ${name} (${columns.map((column) => `"${column}"`).join(', ')})
      SELECT ${columns.map((_, i) => `value ->> ${i}`).join(', ')} FROM json_each(?)`,
    [JSON.stringify(rows.map((one) => columns.map((column) => one[column])))],
  )
}

/** The id of the next row of a table. Call it in the transaction that inserts it, after the first write. */
export async function nextId(trx: Knex, of: Table & { id: Column<number> }): Promise<number> {
  const { id } = await readOne(trx(nameOf(of)), {
    id: value(z.number(), trx.raw('ifnull(max(id), 0) + 1')),
  })
  return id
}
