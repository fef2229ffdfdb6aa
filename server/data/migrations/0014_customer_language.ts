import type { Knex } from 'knex'

/** The languages for customers, and the language of each review's customer. */
const statements = [
  `ALTER TABLE shop ADD COLUMN customer_languages TEXT NOT NULL DEFAULT '["en","de","fr","es","it"]'`,
  `ALTER TABLE review ADD COLUMN customer_language TEXT`,
  // An unchanged heading comes from the catalogue, in each language.
  `UPDATE form SET heading = '' WHERE heading = 'How has it been?'`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
