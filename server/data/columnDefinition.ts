import type { z } from 'zod'

export type Stored = string | number | Uint8Array | null

interface Definition {
  type: 'INTEGER' | 'TEXT' | 'REAL' | 'BLOB'
  constraints: string[]
  isNullable: boolean
  read?: (stored: unknown) => unknown
  write(value: unknown): Stored
}

/** A column before it belongs to a table. */
export class ColumnDefinition<T, Given extends 'required' | 'optional'> {
  declare readonly value: T
  declare readonly given: Given
  constructor(readonly definition: Definition) {}

  private with<V, G extends 'required' | 'optional'>(
    constraint: string[],
    more: Partial<Definition> = {},
  ): ColumnDefinition<V, G> {
    const { constraints, ...rest } = this.definition
    return new ColumnDefinition({ ...rest, constraints: [...constraints, ...constraint], ...more })
  }

  null(): ColumnDefinition<T | null, 'optional'> {
    const { definition } = this
    const { read } = definition
    return this.with([], {
      isNullable: true,
      read: read && ((stored) => (stored === null ? null : read(stored))),
      write: (value) => (value === null ? null : definition.write(value)),
    })
  }

  /** The value of rows that do not name it. */
  initially(value: T): ColumnDefinition<T, 'optional'> {
    return this.with([`DEFAULT ${literal(this.definition.write(value))}`])
  }

  unique(): ColumnDefinition<T, Given> {
    return this.with(['UNIQUE'])
  }

  /** `how` follows the reference. */
  refers(table: string, how = ''): ColumnDefinition<T, Given> {
    return this.with([`REFERENCES ${table}(id)${how && ` ${how}`}`])
  }

  primary(): ColumnDefinition<T, Given> {
    return this.with(['PRIMARY KEY'])
  }

  nocase(): ColumnDefinition<T, Given> {
    return this.with(['COLLATE NOCASE'])
  }

  /** Computed by SQLite from other columns of its row. */
  generated(expression: string): ColumnDefinition<T, 'optional'> {
    return this.with([`GENERATED ALWAYS AS (${expression}) VIRTUAL`], { isNullable: true })
  }
}

const literal = (value: Stored): string =>
  typeof value === 'string' ? `'${value.replaceAll("'", "''")}'` : String(value)

const plain = <T extends Stored>(type: Definition['type'], constraints: string[] = []) =>
  new ColumnDefinition<T, 'required'>({ type, constraints, isNullable: false, write: (value: T) => value })

export const id = () =>
  new ColumnDefinition<number, 'optional'>({
    ...plain('INTEGER', ['PRIMARY KEY']).definition,
    // SQLite gives it.
    isNullable: true,
  })
export const integer = () => plain<number>('INTEGER')
export const real = () => plain<number>('REAL')
export const text = <T extends string = string>() => plain<T>('TEXT')
export const blob = () => plain<Buffer>('BLOB')

/** A text that is one of some. */
export const choice = <T extends string>(...choices: readonly T[]) =>
  plain<T>('TEXT', [`CHECK (@ IN (${choices.map(literal).join(', ')}))`])

/** Yes or no, stored as 1 or 0. */
export const flag = () =>
  new ColumnDefinition<boolean, 'required'>({
    ...plain('INTEGER').definition,
    read: (stored) => stored === 1,
    write: (value: boolean) => (value ? 1 : 0),
  })

/** A text that is read and written by functions. */
export const coded = <T>(read: (stored: string) => T, write: (value: T) => string) =>
  new ColumnDefinition<T, 'required'>({
    ...plain('TEXT').definition,
    read: (stored) => read(String(stored)),
    write,
  })

/** JSON of a shape; what has another shape throws unless the schema catches it. */
export const json = <S extends z.ZodType>(schema: S) =>
  coded<z.output<S>>((stored) => schema.parse(parsed(stored)), JSON.stringify)

/** Undefined for what is no JSON. */
export function parsed(stored: string): unknown {
  try {
    return JSON.parse(stored)
  } catch {
    return undefined
  }
}
