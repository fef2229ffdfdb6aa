import type { Knex } from 'knex'

const statements = [
  // Copies with shuffled words are found by their sets of words.
  `ALTER TABLE fingerprint ADD COLUMN words BLOB NOT NULL DEFAULT x''`,
  // Customers leave out the letters around an order number.
  `CREATE INDEX purchase_by_digits ON purchase (shop_id, trim(number_key, 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'))`,
  // Decisions that teach the wording model nothing.
  `CREATE TABLE untaught (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    at TEXT NOT NULL
  )`,
  `CREATE INDEX untaught_by_shop ON untaught (shop_id, at)`,
  // Whether newcomers that are like a group are held back.
  `ALTER TABLE review_group ADD COLUMN holds INTEGER NOT NULL DEFAULT 1`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
