import type { Knex } from 'knex'

const statements = [
  // Looks that a shop has saved. The theme is JSON.
  `CREATE TABLE look (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    theme TEXT NOT NULL,
    created_at TEXT NOT NULL,
    removed_at TEXT
  )`,
  `CREATE INDEX look_by_shop ON look (shop_id, id)`,
  // What a new display starts with, a theme as JSON; empty is like the page.
  `ALTER TABLE shop ADD COLUMN starting_theme TEXT NOT NULL DEFAULT ''`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
