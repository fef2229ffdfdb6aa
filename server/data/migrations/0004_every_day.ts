import type { Knex } from 'knex'

/** Replies, reasons, tags, saved filters, search, and keys and counters for each filter. */
const tables = [
  `CREATE TABLE reply (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    member_id INTEGER NOT NULL REFERENCES member(id),
    name TEXT NOT NULL,
    body TEXT NOT NULL,
    posted_at TEXT NOT NULL
  )`,
  `CREATE TABLE decline_reason (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    reason TEXT NOT NULL
  )`,
  `CREATE TABLE tag (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    name TEXT NOT NULL COLLATE NOCASE,
    UNIQUE (shop_id, name)
  )`,
  `CREATE TABLE review_tag (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    tag_id INTEGER NOT NULL REFERENCES tag(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (tag_id, review_id)
  ) WITHOUT ROWID`,
  `CREATE INDEX review_tag_by_review ON review_tag (review_id)`,
  `CREATE TABLE saved_view (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    query TEXT NOT NULL,
    UNIQUE (shop_id, name)
  )`,
]

/**
 * Product 0 and rating 0 mean none. A rating of 4.5 is found among the fives. A low rating without a reply
 * needs one.
 */
const columns = [
  `ALTER TABLE review ADD COLUMN language TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review ADD COLUMN worded INTEGER NOT NULL DEFAULT 1`,
  `ALTER TABLE review ADD COLUMN reply_id INTEGER`,
  `ALTER TABLE review ADD COLUMN reply_draft TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review ADD COLUMN decline_reason_id INTEGER`,
  `ALTER TABLE review ADD COLUMN owed INTEGER
    GENERATED ALWAYS AS (rating IS NOT NULL AND rating <= 200 AND reply_id IS NULL) VIRTUAL`,
  `ALTER TABLE review ADD COLUMN rated INTEGER GENERATED ALWAYS AS (ifnull((rating + 50) / 100 * 100, 0)) VIRTUAL`,
  `ALTER TABLE review ADD COLUMN about INTEGER GENERATED ALWAYS AS (ifnull(product_id, 0)) VIRTUAL`,
  `UPDATE review SET
    language = ifnull((SELECT language FROM review_version WHERE id = current_version_id), ''),
    worded = (SELECT trim(title || body) <> '' FROM review_version WHERE id = current_version_id)`,
  `ALTER TABLE decision ADD COLUMN batch TEXT`,
  `CREATE INDEX decision_by_batch ON decision (batch) WHERE batch IS NOT NULL`,
]

/** An index for each filter of a lane and for each sort order. */
const indexes = [
  `DROP INDEX review_by_lane_rating`,
  ...['rated', 'about', 'source', 'language', 'verified', 'worded', 'owed', 'score', 'received_at'].map(
    (column) => `CREATE INDEX review_by_lane_${column} ON review (shop_id, state, ${column}, id)`,
  ),
  `CREATE INDEX review_by_product ON review (product_id)`,
]

const keys = [
  'shop_id',
  'state',
  'product_id',
  'rating',
  'showable',
  'counted',
  'source',
  'language',
  'verified',
  'worded',
  'owed',
] as const
const valueOf = (key: (typeof keys)[number], row: string): string =>
  key === 'product_id'
    ? `ifnull(${row}product_id, 0)`
    : key === 'rating'
      ? `ifnull(${row}rating, 0)`
      : key === 'owed'
        ? `(${row}rating IS NOT NULL AND ${row}rating <= 200 AND ${row}reply_id IS NULL)`
        : `${row}${key}`

const counters = [
  `DROP TRIGGER review_counted`,
  `DROP TRIGGER review_recounted`,
  `DROP TRIGGER review_uncounted`,
  `DROP TABLE review_count`,
  `CREATE TABLE review_count (
    ${keys.map((key) => `${key} ${key === 'state' || key === 'source' || key === 'language' ? 'TEXT' : 'INTEGER'} NOT NULL`).join(', ')},
    count INTEGER NOT NULL,
    PRIMARY KEY (${keys.join(', ')})
  ) WITHOUT ROWID`,
  `INSERT INTO review_count (${keys.join(', ')}, count)
    SELECT ${keys.map((key) => valueOf(key, '')).join(', ')}, count(*) FROM review
    GROUP BY ${keys.map((_, i) => i + 1).join(', ')}`,
  `CREATE TRIGGER review_counted AFTER INSERT ON review BEGIN ${count('new', 1)}; END`,
  `CREATE TRIGGER review_recounted
    AFTER UPDATE OF state, product_id, rating, showable, counted, language, verified, worded, reply_id ON review
    BEGIN ${count('old', -1)}; ${count('new', 1)}; END`,
  `CREATE TRIGGER review_uncounted AFTER DELETE ON review BEGIN ${count('old', -1)}; END`,
]

function count(row: 'old' | 'new', by: number): string {
  return `INSERT INTO review_count (${keys.join(', ')}, count)
    VALUES (${keys.map((key) => valueOf(key, `${row}.`)).join(', ')}, ${by})
    ON CONFLICT DO UPDATE SET count = count + ${by}`
}

/**
 * The full-text index. Shop and lane are terms in it, so a search reads only their entries. The text is
 * stored with the versions.
 */
const search = [
  `CREATE VIRTUAL TABLE review_text USING fts5(
    scope, title, body, author_name,
    content = '', contentless_delete = 1, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3 4 5 6 7 8'
  )`,
  `INSERT INTO review_text (rowid, scope, title, body, author_name) ${texts('review.id > 0')}`,
  `CREATE TRIGGER review_searched AFTER UPDATE OF current_version_id, state ON review BEGIN
    DELETE FROM review_text WHERE rowid = new.id;
    INSERT INTO review_text (rowid, scope, title, body, author_name) ${texts('review.id = new.id')};
  END`,
]

function texts(which: string): string {
  return `SELECT review.id, 'shop' || review.shop_id || review.state, title, body, author_name
    FROM review JOIN review_version ON review_version.id = review.current_version_id WHERE ${which}`
}

export async function up(db: Knex): Promise<void> {
  for (const statement of [...tables, ...columns, ...indexes, ...counters, ...search]) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
