/** Work that runs after a request. */
export const jobs = [
  `CREATE TABLE job (
    id INTEGER PRIMARY KEY,
    shop_id INTEGER REFERENCES shop(id),
    kind TEXT NOT NULL,
    unique_key TEXT NOT NULL UNIQUE,
    payload TEXT NOT NULL,
    generation INTEGER NOT NULL DEFAULT 1,
    state TEXT NOT NULL DEFAULT 'due' CHECK (state IN ('due', 'running', 'done', 'failed', 'cancelled')),
    due_at TEXT NOT NULL,
    every_ms INTEGER,
    attempts INTEGER NOT NULL DEFAULT 0,
    leased_until TEXT,
    cancel_asked INTEGER NOT NULL DEFAULT 0,
    done INTEGER NOT NULL DEFAULT 0,
    total INTEGER,
    error TEXT,
    result TEXT,
    created_at TEXT NOT NULL,
    ended_at TEXT
  )`,
  `CREATE INDEX job_by_due ON job (kind, due_at) WHERE state = 'due'`,
  `CREATE INDEX job_by_lease ON job (leased_until) WHERE state = 'running'`,
  `CREATE INDEX job_by_shop ON job (shop_id, id)`,
  `CREATE INDEX job_by_end ON job (ended_at) WHERE ended_at IS NOT NULL`,

  `CREATE TABLE storage_trial (
    id INTEGER PRIMARY KEY,
    bytes BLOB NOT NULL
  )`,
]
