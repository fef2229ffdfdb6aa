import type { Knex } from 'knex'

/**
 * What came together, and the identity of a review at its origin. Counters and the full-text index of new
 * reviews are filled by one statement for each batch, so the trigger of each row goes.
 */
const statements = [
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
    created_at TEXT NOT NULL
  )`,
  `CREATE INDEX intake_by_shop ON intake (shop_id, id)`,
  `ALTER TABLE review ADD COLUMN intake_id INTEGER REFERENCES intake(id)`,
  `ALTER TABLE review ADD COLUMN origin TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE review ADD COLUMN external_key TEXT`,
  `ALTER TABLE review ADD COLUMN same_words TEXT`,
  `CREATE UNIQUE INDEX review_by_external_key ON review (shop_id, origin, external_key)
    WHERE external_key IS NOT NULL`,
  `CREATE INDEX review_by_same_words ON review (shop_id, same_words) WHERE same_words IS NOT NULL`,
  `ALTER TABLE decision ADD COLUMN actor TEXT`,
  `DROP TRIGGER review_counted`,
]

export async function up(db: Knex): Promise<void> {
  for (const statement of statements) await db.raw(statement)
  await allowState(db, 'undone')
}

/** Widens the CHECK of `review.state` in the way that SQLite documents for it. */
async function allowState(db: Knex, state: string): Promise<void> {
  await setUnsafe(db, true)
  const [{ schema_version: version }] = (await db.raw('PRAGMA schema_version')) as [
    { schema_version: number },
  ]
  await db.raw('PRAGMA writable_schema = ON')
  await db.raw(
    `UPDATE sqlite_schema SET sql = replace(sql, '''withdrawn'')', '''withdrawn'', ''${state}'')')
      WHERE type = 'table' AND name = 'review'`,
  )
  await db.raw(`PRAGMA schema_version = ${version + 1}`)
  await db.raw('PRAGMA writable_schema = OFF')
  await setUnsafe(db, false)
}

async function setUnsafe(db: Knex, on: boolean): Promise<void> {
  interface Connection {
    unsafeMode: (on: boolean) => void
  }
  const client = db.client as {
    acquireConnection: () => Promise<Connection>
    releaseConnection: (connection: Connection) => Promise<void>
  }
  const connection = await client.acquireConnection()
  connection.unsafeMode(on)
  await client.releaseConnection(connection)
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward')
}
