import type { Knex } from 'knex'

/** Arrivals of each day (UTC), without those of undone intakes. */
const keys = 'shop_id, day, source, verified'
const keyOf = (row: string) =>
  `${row}.shop_id, substr(${row}.received_at, 1, 10), ${row}.source, ${row}.verified`
const count = (row: 'old' | 'new', by: number) => `INSERT INTO arrival_count (${keys}, count)
    SELECT ${keyOf(row)}, ${by} WHERE ${row}.state <> 'undone'
    ON CONFLICT DO UPDATE SET count = count + ${by}`

const statements = [
  `CREATE TABLE arrival_count (
    shop_id INTEGER NOT NULL,
    day TEXT NOT NULL,
    source TEXT NOT NULL,
    verified INTEGER NOT NULL,
    count INTEGER NOT NULL,
    PRIMARY KEY (${keys})
  ) WITHOUT ROWID`,
  `INSERT INTO arrival_count (${keys}, count)
    SELECT ${keyOf('review')}, count(*) FROM review WHERE state <> 'undone' GROUP BY 1, 2, 3, 4`,
  `CREATE TRIGGER arrival_recounted AFTER UPDATE OF state, verified ON review
    WHEN old.verified <> new.verified OR (old.state = 'undone') <> (new.state = 'undone')
    BEGIN ${count('old', -1)}; ${count('new', 1)}; END`,
  `DROP INDEX review_by_unconfirmed`,
  `CREATE INDEX review_by_unconfirmed ON review (shop_id, state) WHERE unconfirmed = 1`,
  `CREATE TRIGGER arrival_uncounted AFTER DELETE ON review BEGIN ${count('old', -1)}; END`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
