import type { Knex } from 'knex'

const statements = [
  // How often pages told lately that the embed code reserves another height than the display has.
  `ALTER TABLE display_seen ADD COLUMN misfits INTEGER NOT NULL DEFAULT 0`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
