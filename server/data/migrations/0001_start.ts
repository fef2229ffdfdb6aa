import type { Knex } from 'knex'

/**
 * Keys are integers inside and random ids in public. All tables but shop, member and session have a shop id.
 * Times are ISO 8601 text in UTC; ratings are hundredths of five.
 */
const tables = [
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
    created_at TEXT NOT NULL
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
    PRIMARY KEY (member_id, shop_id)
  ) WITHOUT ROWID`,
  `CREATE TABLE session (
    id INTEGER PRIMARY KEY,
    token_hash TEXT NOT NULL UNIQUE,
    member_id INTEGER NOT NULL REFERENCES member(id),
    created_at TEXT NOT NULL,
    expires_at TEXT NOT NULL
  )`,
  `CREATE TABLE product (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    sku TEXT NOT NULL,
    title TEXT NOT NULL,
    UNIQUE (shop_id, sku)
  )`,
  `CREATE TABLE customer (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    mailbox TEXT NOT NULL,
    address TEXT NOT NULL,
    created_at TEXT NOT NULL,
    UNIQUE (shop_id, mailbox)
  )`,
  `CREATE TABLE purchase (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    number TEXT NOT NULL,
    number_key TEXT NOT NULL,
    email TEXT NOT NULL,
    name TEXT NOT NULL,
    placed_at TEXT NOT NULL
  )`,
  `CREATE INDEX purchase_by_number ON purchase (shop_id, number_key)`,
  `CREATE TABLE purchase_line (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    purchase_id INTEGER NOT NULL REFERENCES purchase(id),
    product_id INTEGER NOT NULL REFERENCES product(id),
    status TEXT NOT NULL,
    delivered_at TEXT
  )`,
  `CREATE INDEX purchase_line_by_purchase ON purchase_line (purchase_id)`,
  `CREATE TABLE form (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    slug TEXT NOT NULL UNIQUE,
    heading TEXT NOT NULL,
    intro TEXT NOT NULL,
    open INTEGER NOT NULL DEFAULT 1
  )`,
  `CREATE TABLE review (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    source TEXT NOT NULL,
    form_id INTEGER REFERENCES form(id),
    token_hash TEXT UNIQUE,
    product_id INTEGER REFERENCES product(id),
    customer_id INTEGER REFERENCES customer(id),
    state TEXT NOT NULL CHECK (state IN ('waiting', 'held', 'approved', 'declined', 'spam', 'withdrawn')),
    arrival_state TEXT NOT NULL,
    revision INTEGER NOT NULL DEFAULT 1,
    current_version_id INTEGER,
    published_version_id INTEGER,
    rating INTEGER,
    showable INTEGER NOT NULL,
    verified INTEGER NOT NULL,
    proof_failure TEXT,
    claimed_order TEXT NOT NULL DEFAULT '',
    score INTEGER NOT NULL,
    received_at TEXT NOT NULL,
    written_at TEXT NOT NULL,
    written_precision TEXT NOT NULL CHECK (written_precision IN ('moment', 'day', 'month', 'year')),
    published_at TEXT
  )`,
  `CREATE INDEX review_by_lane ON review (shop_id, state, id)`,
  `CREATE INDEX review_by_lane_rating ON review (shop_id, state, rating, id)`,
  `CREATE INDEX review_by_arrival ON review (shop_id, id)`,
  `CREATE INDEX review_by_received ON review (shop_id, received_at, verified)`,
  `CREATE INDEX review_by_form ON review (form_id, received_at)`,
  `CREATE INDEX review_by_customer ON review (customer_id)`,
  `CREATE TABLE review_version (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    number INTEGER NOT NULL,
    title TEXT NOT NULL,
    body TEXT NOT NULL,
    author_name TEXT NOT NULL,
    rating_value REAL,
    rating_scale REAL,
    rating INTEGER,
    language TEXT,
    consent_text TEXT NOT NULL,
    consent_answer TEXT NOT NULL CHECK (consent_answer IN ('given', 'refused', 'stated')),
    salt TEXT NOT NULL,
    created_at TEXT NOT NULL,
    UNIQUE (review_id, number)
  )`,
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
  `CREATE TABLE verification (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    method TEXT NOT NULL CHECK (method IN ('mailbox', 'orderNumber', 'invitation', 'manual')),
    purchase_line_id INTEGER REFERENCES purchase_line(id),
    created_at TEXT NOT NULL,
    member_id INTEGER REFERENCES member(id),
    revoked_at TEXT
  )`,
  `CREATE INDEX verification_by_review ON verification (review_id)`,
  `CREATE TABLE decision (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    number INTEGER NOT NULL,
    act TEXT NOT NULL,
    member_id INTEGER REFERENCES member(id),
    review_id INTEGER REFERENCES review(id),
    display_id INTEGER REFERENCES display(id),
    undoes_id INTEGER REFERENCES decision(id),
    before TEXT NOT NULL,
    after TEXT NOT NULL,
    digest TEXT NOT NULL,
    at TEXT NOT NULL,
    previous_hash TEXT NOT NULL,
    hash TEXT NOT NULL,
    UNIQUE (shop_id, number)
  )`,
  `CREATE INDEX decision_by_review ON decision (review_id)`,
  `CREATE INDEX decision_by_member ON decision (shop_id, member_id, id)`,
  `CREATE UNIQUE INDEX decision_undone_once ON decision (undoes_id) WHERE undoes_id IS NOT NULL`,
  `CREATE TRIGGER decision_never_updated BEFORE UPDATE ON decision
    BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
  `CREATE TRIGGER decision_never_deleted BEFORE DELETE ON decision
    BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
  `CREATE TABLE display (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    key TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    draft_version_id INTEGER,
    live_version_id INTEGER,
    created_at TEXT NOT NULL
  )`,
  `CREATE TABLE display_version (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    number INTEGER NOT NULL,
    configuration TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    published_at TEXT,
    UNIQUE (display_id, number)
  )`,
  `CREATE TABLE snapshot (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    display_id INTEGER NOT NULL REFERENCES display(id),
    variant TEXT NOT NULL,
    version_id INTEGER NOT NULL REFERENCES display_version(id),
    etag TEXT NOT NULL,
    body TEXT NOT NULL,
    page TEXT NOT NULL,
    rendered_at TEXT NOT NULL,
    UNIQUE (display_id, variant)
  )`,
  `CREATE TABLE snapshot_review (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    snapshot_id INTEGER NOT NULL REFERENCES snapshot(id) ON DELETE CASCADE,
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (snapshot_id, review_id)
  ) WITHOUT ROWID`,
  `CREATE INDEX snapshot_review_by_review ON snapshot_review (review_id)`,
  `CREATE TABLE job (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    kind TEXT NOT NULL,
    unique_key TEXT NOT NULL UNIQUE,
    payload TEXT NOT NULL,
    generation INTEGER NOT NULL DEFAULT 1,
    due_at TEXT NOT NULL,
    attempts INTEGER NOT NULL DEFAULT 0,
    leased_until TEXT,
    error TEXT
  )`,
  `CREATE INDEX job_by_due ON job (due_at)`,
]

/** Product 0 and rating 0 mean none, because a key can't contain null. */
const counters = [
  `CREATE TABLE review_count (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    state TEXT NOT NULL,
    product_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    showable INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (shop_id, state, product_id, rating, showable)
  ) WITHOUT ROWID`,
  `CREATE TRIGGER review_counted AFTER INSERT ON review BEGIN ${count('new', 1)}; END`,
  `CREATE TRIGGER review_recounted AFTER UPDATE OF state, product_id, rating, showable ON review
    BEGIN ${count('old', -1)}; ${count('new', 1)}; END`,
  `CREATE TRIGGER review_uncounted AFTER DELETE ON review BEGIN ${count('old', -1)}; END`,
]

function count(row: 'old' | 'new', by: number): string {
  return `INSERT INTO review_count (shop_id, state, product_id, rating, showable, count)
    VALUES (${row}.shop_id, ${row}.state, ifnull(${row}.product_id, 0), ifnull(${row}.rating, 0), ${row}.showable, ${by})
    ON CONFLICT DO UPDATE SET count = count + ${by}`
}

export async function up(db: Knex): Promise<void> {
  for (const statement of [...tables, ...counters]) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
