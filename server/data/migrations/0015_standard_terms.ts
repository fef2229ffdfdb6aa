import type { Knex } from 'knex'

const renamed: [table: string, from: string, to: string][] = [
  ['review', 'counted', 'in_averages'],
  ['review', 'worded', 'has_text'],
  ['review', 'owed', 'needs_reply'],
  ['review', 'rated', 'rating_stars'],
  ['review', 'about', 'product_key'],
  ['review_count', 'counted', 'in_averages'],
  ['review_count', 'worded', 'has_text'],
  ['review_count', 'owed', 'needs_reply'],
  ['shop', 'stock_version', 'content_version'],
  ['shop', 'ground', 'background'],
  ['shop', 'ink', 'text_colour'],
  ['membership', 'told', 'notifications'],
  ['customer', 'mailbox', 'email_key'],
  ['purchase', 'mailbox', 'email_key'],
  ['mail', 'mailbox', 'email_key'],
  ['staged_photo', 'staged_at', 'uploaded_at'],
]

const columns = `id, shop_id, review_id, method, purchase_line_id, created_at, member_id, revoked_at, reason,
  revoked_by, revoked_reason`

/** SQLite renames columns in triggers, indexes and generated columns too. */
const statements = [
  ...renamed.map(([table, from, to]) => `ALTER TABLE ${table} RENAME COLUMN ${from} TO ${to}`),
  `ALTER TABLE staged_photo RENAME TO pending_photo`,
  // Queries name these indexes.
  ...['rated', 'about', 'worded', 'owed'].map((column) => `DROP INDEX review_by_lane_${column}`),
  ...['rating_stars', 'product_key', 'has_text', 'needs_reply'].map(
    (column) => `CREATE INDEX review_by_lane_${column} ON review (shop_id, state, ${column}, id)`,
  ),
  `UPDATE mail SET kind = 'notification' WHERE kind = 'told'`,
  `UPDATE saved_view SET query = replace(query, 'owed=', 'needsReply=')`,
  // SQLite can't alter a CHECK.
  `CREATE TABLE verification_renamed (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    method TEXT NOT NULL CHECK (method IN ('mailbox', 'orderNumber', 'reviewRequest', 'manual')),
    purchase_line_id INTEGER REFERENCES purchase_line(id),
    created_at TEXT NOT NULL,
    member_id INTEGER REFERENCES member(id),
    revoked_at TEXT,
    reason TEXT NOT NULL DEFAULT '',
    revoked_by INTEGER REFERENCES member(id),
    revoked_reason TEXT NOT NULL DEFAULT ''
  )`,
  `INSERT INTO verification_renamed (${columns})
    SELECT ${columns.replace('method', `CASE method WHEN 'invitation' THEN 'reviewRequest' ELSE method END`)}
    FROM verification`,
  `DROP TABLE verification`,
  `ALTER TABLE verification_renamed RENAME TO verification`,
  `CREATE INDEX verification_by_review ON verification (review_id)`,
  `CREATE INDEX verification_by_line ON verification (purchase_line_id) WHERE purchase_line_id IS NOT NULL`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
