import type { Knex } from 'knex'

/**
 * Displays have an address of their own, can be removed and restored, know where they were seen, and are
 * marked as stale one by one.
 */
const statements = [
  `ALTER TABLE display ADD COLUMN stale INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE display ADD COLUMN removed_at TEXT`,
  `ALTER TABLE display ADD COLUMN measured TEXT NOT NULL DEFAULT '[]'`,
  `ALTER TABLE display ADD COLUMN address TEXT`,
  `CREATE UNIQUE INDEX display_by_address ON display (address) WHERE address IS NOT NULL`,
  `CREATE INDEX display_by_shop ON display (shop_id, id)`,
  `ALTER TABLE display_version ADD COLUMN published_by INTEGER REFERENCES member(id)`,
  `CREATE TABLE display_seen (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    page TEXT NOT NULL,
    first_at TEXT NOT NULL,
    last_at TEXT NOT NULL,
    UNIQUE (display_id, page)
  )`,
  `ALTER TABLE shop ADD COLUMN corners INTEGER NOT NULL DEFAULT 8`,
  `ALTER TABLE shop ADD COLUMN stock_version INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE snapshot DROP COLUMN page`,
  `DELETE FROM job WHERE kind = 'rebuildDisplay'`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
