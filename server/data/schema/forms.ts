/** Forms, their published versions, and pictures that are sent ahead of a form. */
export const forms = [
  `CREATE TABLE form (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    slug TEXT NOT NULL UNIQUE,
    writers TEXT NOT NULL DEFAULT 'anyone' CHECK (writers IN ('anyone', 'confirmed', 'buyers')),
    name TEXT NOT NULL DEFAULT '',
    state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('draft', 'open', 'closed')),
    draft TEXT NOT NULL DEFAULT '{"schema":1}',
    version INTEGER NOT NULL DEFAULT 1,
    removed_at TEXT,
    tag TEXT NOT NULL DEFAULT '',
    arrives_as TEXT NOT NULL DEFAULT 'waiting' CHECK (arrives_as IN ('waiting', 'approved')),
    last_day TEXT NOT NULL DEFAULT '',
    trial_intake_id INTEGER REFERENCES intake(id),
    draft_saved_at TEXT NOT NULL DEFAULT '',
    draft_tab TEXT NOT NULL DEFAULT ''
  )`,

  `CREATE TABLE form_version (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    form_id INTEGER NOT NULL REFERENCES form(id),
    number INTEGER NOT NULL,
    design TEXT NOT NULL,
    published_at TEXT NOT NULL,
    UNIQUE (form_id, number)
  )`,

  `CREATE TABLE form_slug (
    slug TEXT PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    form_id INTEGER NOT NULL REFERENCES form(id)
  ) WITHOUT ROWID`,

  `CREATE TABLE form_day (
    form_id INTEGER NOT NULL REFERENCES form(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    day TEXT NOT NULL,
    opened INTEGER NOT NULL DEFAULT 0,
    begun INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (form_id, day)
  ) WITHOUT ROWID`,

  `CREATE TABLE pending_photo (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    form_id INTEGER NOT NULL REFERENCES form(id),
    key TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    small TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    uploaded_at TEXT NOT NULL,
    video TEXT,
    seconds REAL,
    network TEXT NOT NULL DEFAULT '',
    bytes INTEGER NOT NULL DEFAULT 0
  )`,
  `CREATE INDEX pending_photo_by_time ON pending_photo (uploaded_at)`,
  `CREATE INDEX pending_photo_by_name ON pending_photo (name)`,
  `CREATE INDEX pending_photo_by_small ON pending_photo (small)`,
  `CREATE INDEX pending_photo_by_video ON pending_photo (video) WHERE video IS NOT NULL`,
  `CREATE INDEX pending_photo_by_network ON pending_photo (network)`,
  `CREATE INDEX pending_photo_by_form ON pending_photo (form_id)`,
  `CREATE INDEX pending_photo_by_shop ON pending_photo (shop_id)`,
]
