import type { Knex } from 'knex'

/** `/healthz` writes here to test the storage. The table is empty otherwise. */
export async function up(db: Knex): Promise<void> {
  await db.raw('CREATE TABLE storage_trial (id INTEGER PRIMARY KEY, bytes BLOB NOT NULL)')
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
