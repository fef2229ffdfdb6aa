/** Emails and the links in them. */
export const mails = [
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
  `CREATE INDEX token_by_end ON token (expires_at)`,
  `CREATE INDEX token_by_use ON token (used_at) WHERE used_at IS NOT NULL`,

  `CREATE TABLE mail (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    message_id TEXT NOT NULL UNIQUE,
    kind TEXT NOT NULL,
    review_id INTEGER REFERENCES review(id),
    recipient TEXT NOT NULL,
    email_key TEXT NOT NULL,
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
  `CREATE INDEX mail_by_email ON mail (email_key, queued_at)`,
  `CREATE INDEX mail_by_review ON mail (review_id)`,
  `CREATE INDEX mail_troubled ON mail (shop_id, id) WHERE error IS NOT NULL AND state <> 'sent'`,
  `CREATE INDEX mail_by_state ON mail (shop_id, state)`,
  `CREATE INDEX mail_by_time ON mail (queued_at)`,
  `CREATE INDEX mail_by_kind ON mail (shop_id, kind, queued_at)`,
]
