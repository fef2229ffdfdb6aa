import type { Knex } from 'knex'
import type { z } from 'zod'
import { parsed } from './columnDefinition'
import type { Column, Columns, Readable, Table } from './table'

type Read<T> = T extends Readable<infer V> ? V : never
export type Selection = Record<string, Readable<unknown>>
/** A row as a selection reads it. */
export type Selected<S extends Selection> = { -readonly [K in keyof S]: Read<S[K]> }

export function pick<T extends Table, K extends keyof Columns<T>>(of: T, ...names: K[]): Pick<T, K>
export function pick(of: Record<string, Column<unknown>>, ...names: string[]): object {
  return Object.fromEntries(names.map((name) => [name, of[name]]))
}

/** A column of a table that a left join may leave empty. */
export const maybe = <T>({ of, read }: Readable<T>): Readable<T | null> => ({
  of,
  ...(read && { read: (stored) => (stored === null ? null : read(stored)) }),
})

/** An expression, whose values are checked by a schema. */
export const value = <S extends z.ZodType>(
  schema: S,
  of: Readable<unknown>['of'],
): Readable<z.output<S>> => ({
  of,
  read: (stored) => schema.parse(stored),
})

/** A text that is empty where a left join finds nothing. */
export const orEmpty = (db: Knex, { of }: Column<string>): Readable<string> => ({
  of: db.raw('ifnull(??, ?)', [of, '']),
})

/** JSON that an expression makes. */
export const fromJson = <S extends z.ZodType>(
  schema: S,
  of: Readable<unknown>['of'],
): Readable<z.output<S>> => ({ of, read: (stored) => schema.parse(parsed(String(stored))) })

/** Columns of a table that a query knows by another name. */
export function under<C extends Record<string, Column<unknown>>>(name: string, columns: C): C
export function under(name: string, columns: Record<string, Column<unknown>>): object {
  return Object.fromEntries(
    Object.entries(columns).map(([key, column]) => [key, { ...column, of: `${name}.${column.column}` }]),
  )
}

/** An expression that yields what a column does. */
export const like = <T>({ read }: Readable<T>, of: Readable<unknown>['of']): Readable<T> => ({
  of,
  ...(read && { read }),
})

/** The rows of a query. */
export async function readAll<S extends Selection>(
  query: Knex.QueryBuilder,
  selection: S,
): Promise<Selected<S>[]> {
  const rows: Record<string, unknown>[] = await query.select(expressions(selection))
  const readers = Object.entries(selection).flatMap(([name, { read }]) => (read ? [{ name, read }] : []))
  for (const row of rows) for (const { name, read } of readers) row[name] = read(row[name])
  // SQLite gives each column its type, and the readers the rest.
  return rows as Selected<S>[]
}

/** The row of a query that always has one. */
export async function readOne<S extends Selection>(
  query: Knex.QueryBuilder,
  selection: S,
): Promise<Selected<S>> {
  const [found] = await readAll(query.limit(1), selection)
  if (!found) throw new Error('a row is missing')
  return found
}

export const hasRows = async (query: Knex.QueryBuilder): Promise<boolean> =>
  (await query.first(query.client.raw('1'))) !== undefined

/** The first row of a query. */
export async function readFirst<S extends Selection>(
  query: Knex.QueryBuilder,
  selection: S,
): Promise<Selected<S> | undefined> {
  return (await readAll(query.limit(1), selection))[0]
}

const expressions = (selection: Selection) =>
  Object.fromEntries(Object.entries(selection).map(([name, { of }]) => [name, of]))
