/**
 * Reviews: each has versions, which never change, and points at the current and the published one. These two are no
 * foreign keys: they would have to be deferred, and then each new version looks for reviews that point at it.
 */
export const reviews = [
  `CREATE TABLE review_group (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    created_at TEXT NOT NULL,
    holds INTEGER NOT NULL DEFAULT 1
  )`,

  `CREATE TABLE intake (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    source TEXT NOT NULL,
    origin TEXT NOT NULL,
    member_id INTEGER REFERENCES member(id),
    stored INTEGER NOT NULL DEFAULT 0,
    known INTEGER NOT NULL DEFAULT 0,
    changed INTEGER NOT NULL DEFAULT 0,
    withdrawn INTEGER NOT NULL DEFAULT 0,
    undone INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    listing_id INTEGER REFERENCES listing(id)
  )`,
  `CREATE INDEX intake_by_shop ON intake (shop_id, id)`,
  `CREATE INDEX intake_by_listing ON intake (listing_id, id) WHERE listing_id IS NOT NULL`,

  `CREATE TABLE review (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    source TEXT NOT NULL CHECK (source IN ('form', 'manualEntry', 'listing', 'trial')),
    form_id INTEGER REFERENCES form(id),
    token_hash TEXT UNIQUE,
    product_id INTEGER REFERENCES product(id),
    customer_id INTEGER REFERENCES customer(id),
    state TEXT NOT NULL CHECK (state IN ('waiting', 'held', 'approved', 'declined', 'spam', 'withdrawn', 'undone')),
    arrival_state TEXT NOT NULL CHECK (arrival_state IN ('waiting', 'held', 'approved', 'spam')),
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
    published_at TEXT,
    in_averages INTEGER NOT NULL DEFAULT 1,
    note TEXT NOT NULL DEFAULT '',
    language TEXT NOT NULL DEFAULT '',
    has_text INTEGER NOT NULL DEFAULT 1,
    reply_id INTEGER REFERENCES reply(id),
    reply_draft TEXT NOT NULL DEFAULT '',
    decline_reason_id INTEGER REFERENCES decline_reason(id),
    needs_reply INTEGER GENERATED ALWAYS AS (rating IS NOT NULL AND rating <= 200 AND reply_id IS NULL) VIRTUAL,
    rating_stars INTEGER GENERATED ALWAYS AS (ifnull((rating + 50) / 100 * 100, 0)) VIRTUAL,
    product_key INTEGER GENERATED ALWAYS AS (ifnull(product_id, 0)) VIRTUAL,
    confirmed_at TEXT,
    unconfirmed INTEGER NOT NULL DEFAULT 0,
    ip TEXT NOT NULL DEFAULT '',
    fill_seconds REAL,
    photos INTEGER NOT NULL DEFAULT 0,
    group_id INTEGER REFERENCES review_group(id),
    customer_language TEXT,
    intake_id INTEGER REFERENCES intake(id),
    origin TEXT NOT NULL DEFAULT '',
    external_key TEXT,
    listing_id INTEGER REFERENCES listing(id)
  )`,
  `CREATE INDEX review_by_lane ON review (shop_id, state, id)`,
  `CREATE INDEX review_by_arrival ON review (shop_id, id)`,
  `CREATE INDEX review_by_received ON review (shop_id, received_at, verified)`,
  `CREATE INDEX review_by_form ON review (form_id, received_at)`,
  `CREATE INDEX review_by_customer ON review (customer_id)`,
  `CREATE INDEX review_by_lane_source ON review (shop_id, state, source, id)`,
  `CREATE INDEX review_by_lane_language ON review (shop_id, state, language, id)`,
  `CREATE INDEX review_by_lane_verified ON review (shop_id, state, verified, id)`,
  `CREATE INDEX review_by_lane_score ON review (shop_id, state, score, id)`,
  `CREATE INDEX review_by_lane_received_at ON review (shop_id, state, received_at, id)`,
  `CREATE INDEX review_by_product ON review (product_id)`,
  `CREATE INDEX review_with_ip ON review (received_at) WHERE ip <> ''`,
  `CREATE INDEX review_by_group ON review (group_id, state, id) WHERE group_id IS NOT NULL`,
  `CREATE INDEX review_grouped ON review (shop_id, state, group_id) WHERE group_id IS NOT NULL`,
  `CREATE INDEX review_by_source ON review (shop_id, source, id)`,
  `CREATE INDEX review_by_lane_rating_stars ON review (shop_id, state, rating_stars, id)`,
  `CREATE INDEX review_by_lane_product_key ON review (shop_id, state, product_key, id)`,
  `CREATE INDEX review_by_lane_has_text ON review (shop_id, state, has_text, id)`,
  `CREATE INDEX review_by_lane_needs_reply ON review (shop_id, state, needs_reply, id)`,
  `CREATE UNIQUE INDEX review_by_external_key ON review (shop_id, origin, external_key) WHERE external_key IS NOT NULL`,
  `CREATE INDEX review_by_unconfirmed ON review (shop_id, state) WHERE unconfirmed = 1`,

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
    author_role TEXT NOT NULL DEFAULT '',
    company TEXT NOT NULL DEFAULT '',
    company_url TEXT NOT NULL DEFAULT '',
    seen_url TEXT NOT NULL DEFAULT '',
    relationship TEXT NOT NULL DEFAULT '',
    portrait TEXT,
    company_logo TEXT,
    written_at TEXT NOT NULL DEFAULT '',
    written_precision TEXT NOT NULL DEFAULT 'moment' CHECK (written_precision IN ('moment', 'day', 'month', 'year')),
    seen_public INTEGER NOT NULL DEFAULT 0,
    answers TEXT NOT NULL DEFAULT '[]',
    UNIQUE (review_id, number)
  )`,
  `CREATE INDEX review_version_by_portrait ON review_version (portrait) WHERE portrait IS NOT NULL`,
  `CREATE INDEX review_version_by_logo ON review_version (company_logo) WHERE company_logo IS NOT NULL`,

  `CREATE TABLE review_answer (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    question TEXT NOT NULL,
    value TEXT NOT NULL,
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (question, value, review_id)
  ) WITHOUT ROWID`,

  `CREATE TABLE photo (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    small TEXT NOT NULL,
    width INTEGER NOT NULL,
    height INTEGER NOT NULL,
    alt TEXT NOT NULL,
    declined INTEGER NOT NULL DEFAULT 0,
    created_at TEXT NOT NULL,
    video TEXT,
    seconds REAL
  )`,
  `CREATE INDEX photo_by_review ON photo (review_id)`,
  `CREATE INDEX photo_by_name ON photo (name)`,
  `CREATE INDEX photo_by_small ON photo (small)`,
  `CREATE INDEX photo_by_video ON photo (video) WHERE video IS NOT NULL`,

  `CREATE TABLE version_photo (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    version_id INTEGER NOT NULL REFERENCES review_version(id),
    position INTEGER NOT NULL,
    photo_id INTEGER NOT NULL REFERENCES photo(id),
    PRIMARY KEY (version_id, position)
  ) WITHOUT ROWID`,

  `CREATE TABLE reply (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    member_id INTEGER NOT NULL REFERENCES member(id),
    name TEXT NOT NULL,
    body TEXT NOT NULL,
    posted_at TEXT NOT NULL
  )`,
  `CREATE INDEX reply_by_review ON reply (review_id)`,

  `CREATE TABLE decline_reason (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    reason TEXT NOT NULL
  )`,
  `CREATE INDEX decline_reason_by_review ON decline_reason (review_id)`,

  `CREATE TABLE tag (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    name TEXT NOT NULL COLLATE NOCASE,
    uses INTEGER NOT NULL DEFAULT 0,
    UNIQUE (shop_id, name)
  )`,
  `CREATE INDEX tag_by_use ON tag (shop_id, uses DESC, name)`,

  `CREATE TABLE review_tag (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    tag_id INTEGER NOT NULL REFERENCES tag(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (tag_id, review_id)
  ) WITHOUT ROWID`,
  `CREATE INDEX review_tag_by_review ON review_tag (review_id)`,
  `CREATE TRIGGER tag_used AFTER INSERT ON review_tag BEGIN
  UPDATE tag SET uses = uses + 1 WHERE id = new.tag_id;
  END`,
  `CREATE TRIGGER tag_unused AFTER DELETE ON review_tag BEGIN
  UPDATE tag SET uses = uses - 1 WHERE id = old.tag_id;
  END`,

  `CREATE TABLE saved_view (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    query TEXT NOT NULL,
    UNIQUE (shop_id, name)
  )`,

  `CREATE TABLE verification (
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
  `CREATE INDEX verification_by_review ON verification (review_id)`,
  `CREATE INDEX verification_by_line ON verification (purchase_line_id) WHERE purchase_line_id IS NOT NULL`,

  `CREATE TABLE evidence (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    review_id INTEGER NOT NULL REFERENCES review(id),
    public_id TEXT NOT NULL UNIQUE,
    name TEXT NOT NULL,
    kind TEXT NOT NULL CHECK (kind IN ('png', 'jpeg', 'webp', 'pdf', 'text')),
    added_at TEXT NOT NULL,
    removed INTEGER NOT NULL DEFAULT 1,
    content BLOB NOT NULL
  )`,
  `CREATE INDEX evidence_by_review ON evidence (review_id)`,

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
    batch TEXT,
    actor TEXT,
    UNIQUE (shop_id, number),
    CHECK ((member_id IS NULL) <> (actor IS NULL))
  )`,
  `CREATE INDEX decision_by_member ON decision (shop_id, member_id, id)`,
  `CREATE UNIQUE INDEX decision_undone_once ON decision (undoes_id) WHERE undoes_id IS NOT NULL`,
  `CREATE INDEX decision_by_batch ON decision (batch) WHERE batch IS NOT NULL`,
  `CREATE INDEX decision_by_review ON decision (review_id, shop_id, number)`,
  `CREATE TRIGGER decision_never_updated BEFORE UPDATE ON decision
  BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
  `CREATE TRIGGER decision_never_deleted BEFORE DELETE ON decision
  BEGIN SELECT RAISE(ABORT, 'the log is append-only'); END`,
]
