/** Displays, their versions, and what visitors get of them. */
export const displays = [
  `CREATE TABLE display (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    key TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    draft_version_id INTEGER REFERENCES display_version(id) DEFERRABLE INITIALLY DEFERRED,
    live_version_id INTEGER REFERENCES display_version(id) DEFERRABLE INITIALLY DEFERRED,
    created_at TEXT NOT NULL,
    stale INTEGER NOT NULL DEFAULT 0,
    removed_at TEXT,
    measured TEXT NOT NULL DEFAULT '[]',
    address TEXT
  )`,
  `CREATE UNIQUE INDEX display_by_address ON display (address) WHERE address IS NOT NULL`,
  `CREATE INDEX display_by_shop ON display (shop_id, id)`,

  `CREATE TABLE display_version (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    number INTEGER NOT NULL,
    configuration TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    published_at TEXT,
    published_by INTEGER REFERENCES member(id),
    tab TEXT NOT NULL DEFAULT '',
    UNIQUE (display_id, number)
  )`,
  `CREATE INDEX display_version_by_picture ON display_version (json_extract(configuration, '$.picture'))`,

  `CREATE TABLE snapshot (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    variant TEXT NOT NULL,
    version_id INTEGER NOT NULL REFERENCES display_version(id),
    etag TEXT NOT NULL,
    body TEXT NOT NULL,
    rendered_at TEXT NOT NULL,
    scope TEXT,
    by_tags INTEGER NOT NULL DEFAULT 1,
    UNIQUE (display_id, variant)
  )`,

  `CREATE TABLE snapshot_review (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    snapshot_id INTEGER NOT NULL REFERENCES snapshot(id) ON DELETE CASCADE,
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (snapshot_id, review_id)
  ) WITHOUT ROWID`,
  `CREATE INDEX snapshot_review_by_review ON snapshot_review (review_id)`,

  `CREATE TABLE display_seen (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    page TEXT NOT NULL,
    first_at TEXT NOT NULL,
    last_at TEXT NOT NULL,
    misfits INTEGER NOT NULL DEFAULT 0,
    UNIQUE (display_id, page)
  )`,

  `CREATE TABLE look (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    theme TEXT NOT NULL,
    created_at TEXT NOT NULL,
    removed_at TEXT
  )`,
  `CREATE INDEX look_by_shop ON look (shop_id, id)`,

  `CREATE TABLE media (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    name TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    created_at TEXT NOT NULL,
    UNIQUE (shop_id, name)
  )`,
  `CREATE INDEX media_by_name ON media (name)`,
  `CREATE INDEX media_by_time ON media (created_at)`,
]
