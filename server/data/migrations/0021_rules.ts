import type { Knex } from 'knex'

/** The rules of a shop beside those that every shop starts with. */
const statements = [
  `CREATE TABLE rule (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    rule TEXT NOT NULL,
    position INTEGER NOT NULL,
    created_at TEXT NOT NULL
  )`,
  `CREATE INDEX rule_by_shop ON rule (shop_id, position)`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
