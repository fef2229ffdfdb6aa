/** What is found out about reviews, and what shops have taught. */
export const moderation = [
  `CREATE TABLE signal (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    version_id INTEGER NOT NULL REFERENCES review_version(id),
    model TEXT NOT NULL,
    kind TEXT NOT NULL,
    points INTEGER NOT NULL,
    headline TEXT NOT NULL,
    detail TEXT NOT NULL
  )`,
  `CREATE INDEX signal_by_version ON signal (version_id)`,

  `CREATE TABLE signal_place (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    signal_id INTEGER NOT NULL REFERENCES signal(id),
    field TEXT NOT NULL,
    start INTEGER NOT NULL,
    "end" INTEGER NOT NULL
  )`,
  `CREATE INDEX signal_place_by_signal ON signal_place (signal_id)`,

  `CREATE TABLE fingerprint (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    model INTEGER NOT NULL,
    traits TEXT NOT NULL,
    triples BLOB NOT NULL,
    words BLOB NOT NULL DEFAULT x''
  )`,
  `CREATE INDEX fingerprint_by_shop ON fingerprint (shop_id, review_id)`,

  `CREATE TABLE untaught (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    at TEXT NOT NULL
  )`,
  `CREATE INDEX untaught_by_shop ON untaught (shop_id, at)`,

  `CREATE TABLE rule (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    rule TEXT NOT NULL,
    position INTEGER NOT NULL,
    created_at TEXT NOT NULL
  )`,
  `CREATE INDEX rule_by_shop ON rule (shop_id, position)`,
]
