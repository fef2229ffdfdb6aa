import type { Knex } from 'knex'
import * as start from './0001_start'

interface Named {
  name: string
  migration: Knex.Migration
}

const all: Named[] = [{ name: '0001_start', migration: start }]

/** All migrations, named here one by one so that every way of running finds the same. */
export const migrationSource: Knex.MigrationSource<Named> = {
  getMigrations: async () => all,
  getMigrationName: ({ name }) => name,
  getMigration: async ({ migration }) => migration,
}
