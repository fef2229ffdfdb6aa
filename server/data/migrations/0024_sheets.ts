import type { Knex } from 'knex'

/** Sheets at an address: answers of a review, and for each listing how its columns are matched. */
const statements = [
  `ALTER TABLE review_version ADD COLUMN answers TEXT NOT NULL DEFAULT '[]'`,
  `ALTER TABLE listing ADD COLUMN matching TEXT`,
  `ALTER TABLE listing ADD COLUMN problems TEXT`,
  // Of the latest content, and how many reads in a row have found it.
  `ALTER TABLE listing ADD COLUMN digest TEXT`,
  `ALTER TABLE listing ADD COLUMN digest_reads INTEGER NOT NULL DEFAULT 0`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
