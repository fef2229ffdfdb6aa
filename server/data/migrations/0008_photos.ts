import type { Knex } from 'knex'

/**
 * Photos belong to a version, so a change can leave one out while the published version still shows it.
 * Photos of unsent forms are stored apart.
 */
const statements = [
  `CREATE TABLE photo (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    small TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    alt TEXT NOT NULL,
    declined INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL
  )`,
  `CREATE INDEX photo_by_review ON photo (review_id)`,
  `CREATE INDEX photo_by_name ON photo (name)`,
  `CREATE INDEX photo_by_small ON photo (small)`,
  `CREATE TABLE version_photo (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    version_id INTEGER NOT NULL REFERENCES review_version(id),
    position INTEGER NOT NULL,
    photo_id INTEGER NOT NULL REFERENCES photo(id),
    PRIMARY KEY (version_id, position)
  ) WITHOUT ROWID`,
  `CREATE TABLE staged_photo (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    form_id INTEGER NOT NULL REFERENCES form(id),
    key TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    small TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    staged_at TEXT NOT NULL
  )`,
  `CREATE INDEX staged_photo_by_time ON staged_photo (staged_at)`,
  `ALTER TABLE review ADD COLUMN photos INTEGER NOT NULL DEFAULT 0`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
