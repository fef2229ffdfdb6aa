import type { Knex } from 'knex'

/**
 * A form has a design as JSON, in numbered versions that stay, and a draft of the next one. It has a name for its owner,
 * is a draft, open or closed, and keeps the addresses that it had.
 */
const statements = [
  `CREATE TABLE form_version (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    form_id INTEGER NOT NULL REFERENCES form(id),
    number INTEGER NOT NULL,
    design TEXT NOT NULL,
    published_at TEXT NOT NULL,
    UNIQUE (form_id, number)
  )`,
  `INSERT INTO form_version (shop_id, form_id, number, design, published_at)
    SELECT shop_id, id, 1, json_object('schema', 1, 'heading', heading, 'intro', intro), '' FROM form`,
  `CREATE TABLE form_slug (
    slug TEXT PRIMARY KEY,
    form_id INTEGER NOT NULL REFERENCES form(id)
  ) WITHOUT ROWID`,
  `INSERT INTO form_slug (slug, form_id) SELECT slug, id FROM form`,
  `ALTER TABLE form ADD COLUMN name TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE form ADD COLUMN state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('draft', 'open', 'closed'))`,
  `ALTER TABLE form ADD COLUMN draft TEXT NOT NULL DEFAULT '{"schema":1}'`,
  // The number of the published version; 0 for a form that never was open.
  `ALTER TABLE form ADD COLUMN version INTEGER NOT NULL DEFAULT 1`,
  `ALTER TABLE form ADD COLUMN removed_at TEXT`,
  `UPDATE form SET state = CASE WHEN open = 1 THEN 'open' ELSE 'closed' END,
    draft = json_object('schema', 1, 'heading', heading, 'intro', intro)`,
  `ALTER TABLE form DROP COLUMN heading`,
  `ALTER TABLE form DROP COLUMN intro`,
  `ALTER TABLE form DROP COLUMN open`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
