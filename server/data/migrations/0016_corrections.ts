import type { Knex } from 'knex'

/**
 * The date of a review and whether visitors see the link to the original belong to the version. Evidence for a
 * review that the shop added is in the database, because files of the media folder are public.
 */
const statements = [
  `ALTER TABLE review_version ADD COLUMN written_at TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN written_precision TEXT NOT NULL DEFAULT 'moment'
    CHECK (written_precision IN ('moment', 'day', 'month', 'year'))`,
  `ALTER TABLE review_version ADD COLUMN seen_public INTEGER NOT NULL DEFAULT 0`,
  `UPDATE review_version SET (written_at, written_precision) =
    (SELECT written_at, written_precision FROM review WHERE review.id = review_version.review_id)`,
  `CREATE TABLE evidence (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('png', 'jpeg', 'webp', 'pdf', 'text')),
    added_at TEXT NOT NULL,
    removed INTEGER NOT NULL DEFAULT 1,
    content BLOB NOT NULL
  )`,
  `CREATE INDEX evidence_by_review ON evidence (review_id)`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
