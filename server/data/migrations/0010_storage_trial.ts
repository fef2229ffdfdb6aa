import type { Knex } from 'knex'

/** Where `/healthz` tries whether something can be stored. It is empty whenever nobody looks. */
export async function up(db: Knex): Promise<void> {
  await db.raw('CREATE TABLE storage_trial (id INTEGER PRIMARY KEY, bytes BLOB NOT NULL)')
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
