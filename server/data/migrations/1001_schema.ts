import type { Knex } from 'knex'
import { schema } from '../schema'

/** Makes the tables as they are today; later migrations change those of older databases. */
export async function up(db: Knex): Promise<void> {
  for (const statement of schema) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
