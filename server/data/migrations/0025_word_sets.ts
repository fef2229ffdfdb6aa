import type { Knex } from 'knex'

/** Copies with shuffled words are found by their sets of words. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE fingerprint ADD COLUMN words BLOB NOT NULL DEFAULT x''`)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
