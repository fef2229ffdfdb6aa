import type { Knex } from 'knex'

/**
 * Displays can select the reviews of a form: the tables of publishable reviews and their trigger are made anew. A form
 * counts by day how often it was opened and begun, tags its reviews, can close by itself and can be tried out;
 * a product can be open to verified buyers only.
 */
const facets =
  'shop_id, product_id, rating, source, language, verified, has_text, listing_id, has_photo, form_id'

const fromReview = `SELECT review.id, review.shop_id, ifnull(review.product_id, 0), ifnull(review_version.rating, 0),
    CASE WHEN review.confirmed_at IS NULL THEN review.source ELSE 'form' END, ifnull(review_version.language, ''),
    review.verified, trim(review_version.title || review_version.body) <> '', ifnull(review.listing_id, 0),
    EXISTS (SELECT 1 FROM version_photo JOIN photo ON photo.id = version_photo.photo_id
      WHERE version_photo.version_id = review_version.id AND photo.declined = 0),
    ifnull(review.form_id, 0), review_version.written_at
  FROM review JOIN review_version ON review_version.id = review.published_version_id
  WHERE review.showable = 1`

const count = (by: number) => `INSERT INTO publishable_count (${facets}, count)
  SELECT ${facets}, ${by} FROM publishable_review WHERE review_id = new.id
  ON CONFLICT DO UPDATE SET count = count + ${by}`

const facetColumns = `shop_id INTEGER NOT NULL,
    product_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    source TEXT NOT NULL,
    language TEXT NOT NULL,
    verified INTEGER NOT NULL,
    has_text INTEGER NOT NULL,
    listing_id INTEGER NOT NULL,
    has_photo INTEGER NOT NULL,
    form_id INTEGER NOT NULL`

const statements = [
  `DROP TRIGGER review_published`,
  `DROP TABLE publishable_count`,
  `DROP TABLE publishable_review`,
  `CREATE TABLE publishable_review (
    review_id INTEGER PRIMARY KEY REFERENCES review(id),
    ${facetColumns},
    written_at TEXT NOT NULL
  )`,
  `INSERT INTO publishable_review ${fromReview}`,
  `CREATE INDEX publishable_newest ON publishable_review (shop_id, written_at, review_id)`,
  `CREATE INDEX publishable_highest ON publishable_review (shop_id, rating, written_at, review_id)`,
  `CREATE INDEX publishable_verified ON publishable_review (shop_id, verified, written_at, review_id)`,
  `CREATE INDEX publishable_by_facets ON publishable_review (${facets}, written_at, review_id)`,
  `CREATE TABLE publishable_count (
    ${facetColumns},
    count INTEGER NOT NULL,
    PRIMARY KEY (${facets})
  ) WITHOUT ROWID`,
  `INSERT INTO publishable_count (${facets}, count)
    SELECT ${facets}, count(*) FROM publishable_review GROUP BY ${facets}`,
  `CREATE TRIGGER review_published
    AFTER UPDATE OF published_version_id, showable, product_id, verified, confirmed_at, listing_id, photos ON review
    WHEN old.published_version_id IS NOT NULL OR new.published_version_id IS NOT NULL
    BEGIN
      ${count(-1)};
      DELETE FROM publishable_review WHERE review_id = new.id;
      INSERT INTO publishable_review ${fromReview} AND review.id = new.id;
      ${count(1)};
    END`,
  `CREATE TABLE form_day (
    form_id INTEGER NOT NULL REFERENCES form(id),
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    day TEXT NOT NULL,
    opened INTEGER NOT NULL DEFAULT 0,
    begun INTEGER NOT NULL DEFAULT 0,
    PRIMARY KEY (form_id, day)
  ) WITHOUT ROWID`,
  // The lines of answers to forms' questions, for filters.
  `CREATE TABLE review_answer (
    question TEXT NOT NULL,
    value TEXT NOT NULL,
    review_id INTEGER NOT NULL REFERENCES review(id),
    PRIMARY KEY (question, value, review_id)
  ) WITHOUT ROWID`,
  `INSERT OR IGNORE INTO review_answer (question, value, review_id)
    SELECT answer.value ->> 'question', answer.value ->> 'value', review_id
    FROM review_version, json_each(answers) AS answer WHERE answer.value ->> 'question' IS NOT NULL`,
  // A video with its first picture; seconds are its length.
  `ALTER TABLE photo ADD COLUMN video TEXT`,
  `ALTER TABLE photo ADD COLUMN seconds REAL`,
  `ALTER TABLE pending_photo ADD COLUMN video TEXT`,
  `ALTER TABLE pending_photo ADD COLUMN seconds REAL`,
  `CREATE INDEX pending_photo_by_video ON pending_photo (video) WHERE video IS NOT NULL`,
  `CREATE INDEX photo_by_video ON photo (video) WHERE video IS NOT NULL`,
  `ALTER TABLE form ADD COLUMN tag TEXT NOT NULL DEFAULT ''`,
  // Unless a rule is stronger.
  `ALTER TABLE form ADD COLUMN arrives_as TEXT NOT NULL DEFAULT 'waiting' CHECK (arrives_as IN ('waiting', 'approved'))`,
  // The last day on which it is open, in the shop's time zone; empty for no end.
  `ALTER TABLE form ADD COLUMN last_day TEXT NOT NULL DEFAULT ''`,
  // Its test reviews, so that they are removed together.
  `ALTER TABLE form ADD COLUMN trial_intake_id INTEGER REFERENCES intake(id)`,
  // As of a form; null for what the form says.
  `ALTER TABLE product ADD COLUMN writers TEXT CHECK (writers IN ('anyone', 'confirmed', 'buyers'))`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
