import type { Knex } from 'knex'

/** Rows for each statement, so that writing transactions stay short. */
const AT_A_TIME = 500

/** Deletes in batches. Returns the number of deleted rows. */
async function deleteSome(
  db: Knex,
  table: string,
  found: (query: Knex.QueryBuilder) => unknown,
  id = 'id',
): Promise<number> {
  let gone = 0
  for (;;) {
    const some = db(table).limit(AT_A_TIME).select(id)
    found(some)
    const deleted = await db(table).whereIn(id, some).delete()
    gone += deleted
    if (deleted < AT_A_TIME) return gone
    await new Promise(setImmediate)
  }
}

export const deleteSessions = (db: Knex, now: string): Promise<number> =>
  deleteSome(db, 'session', (query) => query.where('expires_at', '<=', now))

export const deleteExpiredTokens = (db: Knex, now: string): Promise<number> =>
  deleteSome(db, 'token', (query) => query.where('expires_at', '<=', now))

export const deleteUsedTokens = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'token', (query) => query.where({ purpose: 'confirm' }).where('used_at', '<', before))

/** Emails that were sent or refused before a time. */
export const deleteMails = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'mail', (query) => query.where('queued_at', '<', before).whereNot('state', 'waiting'))

export const deleteJobs = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'job', (query) => query.where('ended_at', '<', before))

/** Stored fingerprints before a review id. */
export const deleteFingerprints = (db: Knex, shopId: number, before: number): Promise<number> =>
  deleteSome(
    db,
    'fingerprint',
    (query) => query.where({ shop_id: shopId }).where('review_id', '<', before),
    'review_id',
  )
