import type { Knex } from 'knex'
import { emailKeyOf } from '../../../core/proof/emailKey'

/**
 * Who may write, confirmed email addresses, outgoing emails, links for one purpose, orders found by email
 * address, and what spam detection remembers.
 */
const statements = [
  // Existing forms stay as they are; new ones ask for a confirmed email address.
  `ALTER TABLE form ADD COLUMN writers TEXT NOT NULL DEFAULT 'anyone' CHECK (writers IN ('anyone', 'confirmed', 'buyers'))`,
  `ALTER TABLE review ADD COLUMN confirmed_at TEXT`,
  // Held back only because the address is not confirmed: nobody needs to look at it.
  `ALTER TABLE review ADD COLUMN unconfirmed INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE review ADD COLUMN ip TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review ADD COLUMN fill_seconds REAL`,
  `CREATE INDEX review_by_unconfirmed ON review (shop_id, unconfirmed) WHERE unconfirmed = 1`,
  `CREATE INDEX review_with_ip ON review (received_at) WHERE ip <> ''`,
  `ALTER TABLE purchase ADD COLUMN mailbox TEXT NOT NULL DEFAULT ''`,
  `CREATE INDEX purchase_by_mailbox ON purchase (shop_id, mailbox) WHERE mailbox <> ''`,
  `ALTER TABLE verification ADD COLUMN reason TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE verification ADD COLUMN revoked_by INTEGER REFERENCES member(id)`,
  `ALTER TABLE verification ADD COLUMN revoked_reason TEXT NOT NULL DEFAULT ''`,
  `CREATE TABLE token (
    id INTEGER PRIMARY KEY,
    hash TEXT NOT NULL UNIQUE,
    purpose TEXT NOT NULL CHECK (purpose IN ('confirm', 'review')),
    review_id INTEGER NOT NULL REFERENCES review(id),
    created_at TEXT NOT NULL,
    expires_at TEXT NOT NULL,
    used_at TEXT
  )`,
  `CREATE INDEX token_by_review ON token (review_id)`,
  `CREATE TABLE mail (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    message_id TEXT NOT NULL UNIQUE,
    kind TEXT NOT NULL,
    review_id INTEGER REFERENCES review(id),
    recipient TEXT NOT NULL,
    mailbox TEXT NOT NULL,
    sender_name TEXT NOT NULL,
    language TEXT NOT NULL,
    subject TEXT NOT NULL,
    text TEXT NOT NULL,
    html TEXT NOT NULL,
    state TEXT NOT NULL CHECK (state IN ('waiting', 'sent', 'refused')),
    attempts INTEGER NOT NULL DEFAULT 0,
    error TEXT,
    queued_at TEXT NOT NULL,
    sent_at TEXT
  )`,
  `CREATE INDEX mail_by_shop ON mail (shop_id, id)`,
  `CREATE INDEX mail_by_mailbox ON mail (mailbox, queued_at)`,
  `ALTER TABLE membership ADD COLUMN told TEXT NOT NULL DEFAULT 'digest' CHECK (told IN ('each', 'digest', 'held'))`,
  `ALTER TABLE shop ADD COLUMN digest_hour INTEGER NOT NULL DEFAULT 8`,
  `ALTER TABLE shop ADD COLUMN digest_day TEXT NOT NULL DEFAULT ''`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
  const purchases: { id: number; email: string }[] = await db('purchase')
    .whereNot('email', '')
    .select('id', 'email')
  for (const { id, email } of purchases)
    await db('purchase')
      .where({ id })
      .update({ mailbox: emailKeyOf(email) })
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
