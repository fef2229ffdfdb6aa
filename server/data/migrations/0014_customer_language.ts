import type { Knex } from 'knex'

/** The languages in which a shop writes to its customers, and the one in which a review was written and is answered. */
const statements = [
  `ALTER TABLE shop ADD COLUMN customer_languages TEXT NOT NULL DEFAULT '["en","de","fr","es","it"]'`,
  `ALTER TABLE review ADD COLUMN customer_language TEXT`,
  // A heading that nobody chose is left to the catalogue, which has it in each language.
  `UPDATE form SET heading = '' WHERE heading = 'How has it been?'`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
