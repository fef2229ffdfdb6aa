import type { Knex } from 'knex'

/**
 * Products by hand. A merged product stays as a row, because order lines refer to it and the merge can be undone.
 * An alias is a SKU that a product had before.
 */
const statements = [
  `ALTER TABLE product ADD COLUMN page_url TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE product ADD COLUMN retired INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE product ADD COLUMN merged_into INTEGER REFERENCES product(id)`,
  `CREATE INDEX product_by_merged ON product (merged_into) WHERE merged_into IS NOT NULL`,
  `CREATE TABLE product_alias (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    sku_key TEXT NOT NULL,
    product_id INTEGER NOT NULL REFERENCES product(id),
    PRIMARY KEY (shop_id, sku_key)
  ) WITHOUT ROWID`,
  `CREATE INDEX product_alias_by_product ON product_alias (product_id)`,
  `CREATE TABLE product_change (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    product_id INTEGER NOT NULL,
    member_id INTEGER NOT NULL REFERENCES member(id),
    kind TEXT NOT NULL CHECK (kind IN ('add', 'edit', 'merge', 'retire', 'offer')),
    before TEXT NOT NULL,
    into_id INTEGER,
    at TEXT NOT NULL,
    undone_at TEXT
  )`,
  `CREATE INDEX product_change_by_shop ON product_change (shop_id, id)`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
