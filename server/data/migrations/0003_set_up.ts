import type { Knex } from 'knex'

/** The shop's site and what was read from it. */
const columns = [
  `ALTER TABLE shop ADD COLUMN site_url TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE shop ADD COLUMN description TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE shop ADD COLUMN ground TEXT NOT NULL DEFAULT '#ffffff'`,
  `ALTER TABLE shop ADD COLUMN ink TEXT NOT NULL DEFAULT '#13262c'`,
  `ALTER TABLE shop ADD COLUMN fonts TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE shop ADD COLUMN reply_name TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE shop ADD COLUMN languages TEXT NOT NULL DEFAULT '[]'`,
  `UPDATE shop SET languages = json_array(substr(locale, 1, 2)), reply_name = short_name`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of columns) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
