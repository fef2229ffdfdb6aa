import type { Knex } from 'knex'

const statements = [
  // Copies with shuffled words are found by their sets of words.
  `ALTER TABLE fingerprint ADD COLUMN words BLOB NOT NULL DEFAULT x''`,
  // Customers leave out the letters around an order number.
  `CREATE INDEX purchase_by_digits ON purchase (shop_id, trim(number_key, 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'))`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
