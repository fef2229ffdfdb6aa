import type { Knex } from 'knex'

/** Files are named by their content. Rows say whose they are. */
const statements = [
  `CREATE TABLE media (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    name TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    created_at TEXT NOT NULL,
    UNIQUE (shop_id, name)
  )`,
  `ALTER TABLE review_version ADD COLUMN portrait TEXT`,
  `ALTER TABLE review_version ADD COLUMN company_logo TEXT`,
  `ALTER TABLE product ADD COLUMN picture TEXT`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
