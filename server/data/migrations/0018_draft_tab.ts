import type { Knex } from 'knex'

/** The browser tab that saved a draft last, so that another one never overwrites it unnoticed. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE display_version ADD COLUMN tab TEXT NOT NULL DEFAULT ''`)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
