import type { Knex } from 'knex'

/** Reviews that the shop adds for a customer don't count in averages. */
const columns = [
  `ALTER TABLE review ADD COLUMN counted INTEGER NOT NULL DEFAULT 1`,
  `ALTER TABLE review ADD COLUMN note TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN author_role TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN company TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN company_url TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN seen_url TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review_version ADD COLUMN relationship TEXT NOT NULL DEFAULT ''`,
]

/** The counters get `counted` as part of their key. */
const counters = [
  `DROP TRIGGER review_counted`,
  `DROP TRIGGER review_recounted`,
  `DROP TRIGGER review_uncounted`,
  `DROP TABLE review_count`,
  `CREATE TABLE review_count (
    shop_id INTEGER NOT NULL REFERENCES shop(id),
    state TEXT NOT NULL,
    product_id INTEGER NOT NULL,
    rating INTEGER NOT NULL,
    showable INTEGER NOT NULL,
    counted INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (shop_id, state, product_id, rating, showable, counted)
  ) WITHOUT ROWID`,
  `INSERT INTO review_count (shop_id, state, product_id, rating, showable, counted, count)
    SELECT shop_id, state, ifnull(product_id, 0), ifnull(rating, 0), showable, counted, count(*) FROM review
    GROUP BY 1, 2, 3, 4, 5, 6`,
  `CREATE TRIGGER review_counted AFTER INSERT ON review BEGIN ${count('new', 1)}; END`,
  `CREATE TRIGGER review_recounted AFTER UPDATE OF state, product_id, rating, showable, counted ON review
    BEGIN ${count('old', -1)}; ${count('new', 1)}; END`,
  `CREATE TRIGGER review_uncounted AFTER DELETE ON review BEGIN ${count('old', -1)}; END`,
]

function count(row: 'old' | 'new', by: number): string {
  return `INSERT INTO review_count (shop_id, state, product_id, rating, showable, counted, count)
    VALUES (${row}.shop_id, ${row}.state, ifnull(${row}.product_id, 0), ifnull(${row}.rating, 0), ${row}.showable,
      ${row}.counted, ${by})
    ON CONFLICT DO UPDATE SET count = count + ${by}`
}

export async function up(db: Knex): Promise<void> {
  for (const statement of [...columns, ...counters]) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
