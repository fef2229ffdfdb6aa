import type { Knex } from 'knex'

/**
 * The shop's pages on other sites. A review knows its listing, and so do the publishable reviews, because
 * displays select by it: their tables and trigger are made anew.
 */
const facets = 'shop_id, product_id, rating, source, language, verified, has_text, listing_id'

const fromReview = `SELECT review.id, review.shop_id, ifnull(review.product_id, 0), ifnull(review_version.rating, 0),
    CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END, ifnull(review_version.language, ''),
    review.verified, trim(review_version.title || review_version.body) <> '', ifnull(review.listing_id, 0),
    review_version.written_at
  FROM review JOIN review_version ON review_version.id = review.published_version_id
  WHERE review.showable = 1`

const count = (by: number) => `INSERT INTO publishable_count (${facets}, count)
  SELECT ${facets}, ${by} FROM publishable_review WHERE review_id = new.id
  ON CONFLICT DO UPDATE SET count = count + ${by}`

const statements = [
  `CREATE TABLE listing (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    origin TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('listing', 'post')),
    external_id TEXT NOT NULL,
    name TEXT NOT NULL,
    street TEXT NOT NULL,
    url TEXT NOT NULL,
    write_url TEXT,
    picture TEXT,
    average REAL,
    scale INTEGER,
    count INTEGER,
    languages TEXT NOT NULL DEFAULT '[]',
    product_id INTEGER REFERENCES product(id),
    tag TEXT NOT NULL DEFAULT '',
    arrives_as TEXT NOT NULL,
    access_key TEXT,
    state TEXT NOT NULL CHECK (state IN ('active', 'stopped', 'disconnected')),
    refusal TEXT,
    refused_at TEXT,
    failures INTEGER NOT NULL DEFAULT 0,
    next_check_at TEXT,
    checked_at TEXT,
    changed_at TEXT,
    found TEXT,
    reads INTEGER NOT NULL DEFAULT 0,
    read_at TEXT,
    cursor TEXT,
    read_so_far INTEGER,
    intake_id INTEGER REFERENCES intake(id),
    accepts_fewer INTEGER NOT NULL DEFAULT 0,
    removed_at TEXT,
    disconnected_at TEXT,
    created_at TEXT NOT NULL
  )`,
  `CREATE UNIQUE INDEX listing_once ON listing (shop_id, origin, external_id) WHERE state <> 'disconnected'`,
  `CREATE TABLE listing_review (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    listing_id INTEGER NOT NULL REFERENCES listing(id),
    seen_read INTEGER NOT NULL,
    likes INTEGER,
    claims_verified INTEGER NOT NULL
  )`,
  `CREATE INDEX listing_review_seen ON listing_review (listing_id, seen_read)`,
  // The times of the latest calls to a site, so that no limit is exceeded after a restart either.
  `CREATE TABLE origin_call (
    origin TEXT PRIMARY KEY,
    called_at TEXT NOT NULL,
    blocked_until TEXT
  ) WITHOUT ROWID`,
  `ALTER TABLE review ADD COLUMN listing_id INTEGER REFERENCES listing(id)`,
  `ALTER TABLE intake ADD COLUMN listing_id INTEGER REFERENCES listing(id)`,
  `CREATE INDEX intake_by_listing ON intake (listing_id, id) WHERE listing_id IS NOT NULL`,
  `DROP TRIGGER review_published`,
  `DROP TABLE publishable_count`,
  `DROP TABLE publishable_review`,
  `CREATE TABLE publishable_review (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    shop_id INTEGER NOT NULL,
    product_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    source TEXT NOT NULL,
    language TEXT NOT NULL,
    verified INTEGER NOT NULL,
    has_text INTEGER NOT NULL,
    listing_id INTEGER NOT NULL,
    written_at TEXT NOT NULL
  )`,
  `INSERT INTO publishable_review ${fromReview}`,
  `CREATE INDEX publishable_newest ON publishable_review (shop_id, written_at, review_id)`,
  `CREATE INDEX publishable_highest ON publishable_review (shop_id, rating, written_at, review_id)`,
  `CREATE INDEX publishable_verified ON publishable_review (shop_id, verified, written_at, review_id)`,
  `CREATE INDEX publishable_by_facets ON publishable_review (${facets}, written_at, review_id)`,
  `CREATE TABLE publishable_count (
    shop_id INTEGER NOT NULL,
    product_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    source TEXT NOT NULL,
    language TEXT NOT NULL,
    verified INTEGER NOT NULL,
    has_text INTEGER NOT NULL,
    listing_id INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (${facets})
  ) WITHOUT ROWID`,
  `INSERT INTO publishable_count (${facets}, count)
    SELECT ${facets}, count(*) FROM publishable_review GROUP BY ${facets}`,
  `CREATE TRIGGER review_published
    AFTER UPDATE OF published_version_id, showable, product_id, verified, confirmed_at, listing_id ON review
    WHEN old.published_version_id IS NOT NULL OR new.published_version_id IS NOT NULL
    BEGIN
      ${count(-1)};
      DELETE FROM publishable_review WHERE review_id = new.id;
      INSERT INTO publishable_review ${fromReview} AND review.id = new.id;
      ${count(1)};
    END`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
