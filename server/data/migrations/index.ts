import type { Knex } from 'knex'
import * as schema from './1001_schema'
import * as search from './1002_search_and_names'

export interface Named {
  name: string
  migration: Knex.Migration
}

/** Listed here, so that the source, the build and the tests find the same migrations. */
export const migrations: Named[] = [
  { name: '1001_schema', migration: schema },
  { name: '1002_search_and_names', migration: search },
]

/**
 * Why data with these migrations cannot be used: it was made by a newer version, or before the first release, when
 * the schema changed without keeping the data and names began with 0. Null if it can be used.
 */
export function unusable(names: string[]): 'newer' | 'beforeRelease' | null {
  if (names.some((name) => name.startsWith('0'))) return 'beforeRelease'
  return names.every((name) => migrations.some((known) => known.name === name)) ? null : 'newer'
}

const sourceOf = (list: Named[], isFresh: boolean): Knex.MigrationSource<Named> => ({
  getMigrations: async () => list,
  getMigrationName: ({ name }) => name,
  getMigration: async ({ migration }) => (isFresh && migration !== list[0]!.migration ? nothing : migration),
})
const nothing: Knex.Migration = { up: async () => undefined, down: async () => undefined }

/**
 * Gives a database its newest shape. The first migration makes the tables as they are today, so a fresh database needs
 * none of the later ones.
 */
export async function migrate(db: Knex, list = migrations): Promise<void> {
  const isFresh = !(await db.schema.hasTable('knex_migrations'))
  await db.migrate.latest({ migrationSource: sourceOf(list, isFresh) })
}
