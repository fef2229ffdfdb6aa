import type { Knex } from 'knex'

/** Groups of near-copies and of bursts. */
const statements = [
  `CREATE TABLE review_group (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    created_at TEXT NOT NULL
  )`,
  `ALTER TABLE review ADD COLUMN group_id INTEGER REFERENCES review_group(id)`,
  `CREATE INDEX review_by_group ON review (group_id, state, id) WHERE group_id IS NOT NULL`,
  `CREATE INDEX review_grouped ON review (shop_id, state, group_id) WHERE group_id IS NOT NULL`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
