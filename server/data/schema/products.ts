/** What a shop sells, under its present and earlier SKUs. */
export const products = [
  `CREATE TABLE product (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    sku TEXT NOT NULL,
    title TEXT NOT NULL,
    picture TEXT,
    sold INTEGER NOT NULL DEFAULT 0,
    page_url TEXT NOT NULL DEFAULT '',
    retired INTEGER NOT NULL DEFAULT 0,
    merged_into INTEGER REFERENCES product(id),
    writers TEXT CHECK (writers IN ('anyone', 'confirmed', 'buyers')),
    sku_key TEXT NOT NULL DEFAULT '',
    search_text TEXT NOT NULL DEFAULT '',
    reviews INTEGER NOT NULL DEFAULT 0,
    approved INTEGER NOT NULL DEFAULT 0,
    uses INTEGER GENERATED ALWAYS AS (sold + reviews) VIRTUAL,
    UNIQUE (shop_id, sku)
  )`,
  `CREATE INDEX product_by_picture ON product (picture) WHERE picture IS NOT NULL`,
  `CREATE INDEX product_by_title ON product (shop_id, title)`,
  `CREATE INDEX product_by_merged ON product (merged_into) WHERE merged_into IS NOT NULL`,
  `CREATE INDEX product_by_sku ON product (shop_id, sku_key)`,
  `CREATE INDEX product_by_use ON product (shop_id, retired, uses DESC, title) WHERE merged_into IS NULL`,
  `CREATE INDEX product_by_text ON product (shop_id, search_text) WHERE merged_into IS NULL`,
  `CREATE INDEX product_unreviewed ON product (shop_id, sold DESC, title) WHERE merged_into IS NULL AND retired = 0 AND reviews = 0`,

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
    actor TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('add', 'edit', 'merge', 'retire', 'offer')),
    before TEXT NOT NULL,
    into_id INTEGER,
    at TEXT NOT NULL,
    undone_at TEXT
  )`,
  `CREATE INDEX product_change_by_shop ON product_change (shop_id, id)`,
]
