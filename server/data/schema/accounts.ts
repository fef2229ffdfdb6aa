/** Members, shops and who belongs to which. */
export const accounts = [
  `CREATE TABLE shop (
    id INTEGER PRIMARY KEY,
    public_id TEXT NOT NULL UNIQUE,
    slug TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    short_name TEXT NOT NULL,
    own_domains TEXT NOT NULL DEFAULT '[]',
    brand TEXT NOT NULL,
    logo TEXT,
    locale TEXT NOT NULL,
    time_zone TEXT NOT NULL,
    created_at TEXT NOT NULL,
    site_url TEXT NOT NULL DEFAULT '',
    description TEXT NOT NULL DEFAULT '',
    background TEXT NOT NULL DEFAULT '#ffffff',
    text_colour TEXT NOT NULL DEFAULT '#13262c',
    fonts TEXT NOT NULL DEFAULT '',
    reply_name TEXT NOT NULL DEFAULT '',
    languages TEXT NOT NULL DEFAULT '[]',
    corners INTEGER NOT NULL DEFAULT 8,
    digest_hour INTEGER NOT NULL DEFAULT 8,
    orders INTEGER NOT NULL DEFAULT 0,
    customer_languages TEXT NOT NULL DEFAULT '["en","de","fr","es","it"]',
    starting_theme TEXT NOT NULL DEFAULT '',
    digest_count INTEGER NOT NULL DEFAULT 0
  )`,

  `CREATE TABLE member (
    id INTEGER PRIMARY KEY,
    public_id TEXT NOT NULL UNIQUE,
    email TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    password_hash TEXT NOT NULL,
    created_at TEXT NOT NULL
  )`,

  `CREATE TABLE membership (
    member_id INTEGER NOT NULL REFERENCES member(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    role TEXT NOT NULL CHECK (role IN ('owner', 'helper')),
    notifications TEXT NOT NULL DEFAULT 'digest' CHECK (notifications IN ('each', 'digest', 'held')),
    PRIMARY KEY (member_id, shop_id)
  ) WITHOUT ROWID`,

  `CREATE TABLE session (
    id INTEGER PRIMARY KEY,
    token_hash TEXT NOT NULL UNIQUE,
    member_id INTEGER NOT NULL REFERENCES member(id),
    created_at TEXT NOT NULL,
    expires_at TEXT NOT NULL
  )`,
  `CREATE INDEX session_by_member ON session (member_id)`,
  `CREATE INDEX session_by_end ON session (expires_at)`,
]
