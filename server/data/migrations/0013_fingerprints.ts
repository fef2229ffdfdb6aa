import type { Knex } from 'knex'

/** Stored fingerprints, so that a restart doesn't compute them again. */
const statements = [
  `CREATE TABLE fingerprint (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    model INTEGER NOT NULL,
    traits TEXT NOT NULL,
    triples BLOB NOT NULL
  )`,
  `CREATE INDEX fingerprint_by_shop ON fingerprint (shop_id, review_id)`,
  `CREATE INDEX review_by_source ON review (shop_id, source, id)`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
