import type { Knex } from 'knex'
import type { ColumnDefinition, Stored } from './columnDefinition'

/** Something that a query selects: a column or an expression, and how its stored values are read. */
export interface Readable<T> {
  /** A qualified name or an expression. */
  readonly of: string | Knex.Raw | Knex.QueryBuilder
  /** Missing where stored values are read as they are. */
  readonly read?: (stored: unknown) => T
}

/** A column. `Given` says whether a new row has to name it. */
export interface Column<
  T,
  Given extends 'required' | 'optional' = 'required' | 'optional',
> extends Readable<T> {
  readonly of: string
  readonly column: string
  readonly given: Given
  write(value: T): Stored
}

export type Definitions = Record<string, ColumnDefinition<unknown, 'required' | 'optional'>>
const source = Symbol('the statement that makes a table')
export type Table<D extends Definitions = Definitions> = {
  readonly [K in keyof D]: D[K] extends ColumnDefinition<infer T, infer G> ? Column<T, G> : never
} & { readonly [source]: { name: string; sql: string } }

export type Columns<T extends Table> = Omit<T, typeof source>
type ValueOf<C> = C extends Column<infer T> ? T : never
type Required<T> = { [K in keyof T]: T[K] extends Column<unknown, 'required'> ? K : never }[keyof T]
/** Some columns of a row. */
export type Part<T extends Table> = { [K in keyof Columns<T>]?: ValueOf<T[K]> | Knex.Raw }
/** A row to insert. */
export type NewRow<T extends Table> = Part<T> & { [K in Required<Columns<T>>]: ValueOf<T[K]> | Knex.Raw }

/** The name that SQLite knows a column by. */
export const columnName = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`)

/** A table, its columns under the names that the code uses. `constraints` are those of the table. */
export function table<D extends Definitions>(
  name: string,
  definitions: D,
  { constraints = [], withoutRowId = false }: { constraints?: string[]; withoutRowId?: boolean } = {},
): Table<D> {
  const lines = Object.entries(definitions).map(([key, { definition }]) => {
    const { type, isNullable, constraints: own } = definition
    const column = `"${columnName(key)}"`
    return [
      column,
      type,
      ...(isNullable ? [] : ['NOT NULL']),
      ...own.map((one) => one.replace('@', column)),
    ].join(' ')
  })
  const sql = `CREATE TABLE ${name} (\n  ${[...lines, ...constraints].join(',\n  ')}\n)${withoutRowId ? ' WITHOUT ROWID' : ''}`
  const columns = Object.entries(definitions).map(([key, { definition, given }]) => [
    key,
    { ...definition, given, column: columnName(key), of: `${name}.${columnName(key)}` },
  ])
  return { ...Object.fromEntries(columns), [source]: { name, sql } }
}

/** The statement that makes a table. */
export const created = (of: Table): string => of[source].sql

export const nameOf = (of: Table): string => of[source].name

/** All columns of a table. */
export function all<T extends Table>(of: T): Columns<T> {
  const { [source]: _made, ...columns } = of
  return columns
}
