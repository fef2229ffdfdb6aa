import type { Knex } from 'knex'

/** How many rows go in one statement, so that nobody waits long for the database. */
const AT_A_TIME = 500

/** Deletes rows that a condition finds, some at a time. Answers how many. */
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

/** Sessions that have run out. */
export const deleteSessions = (db: Knex, now: string): Promise<number> =>
  deleteSome(db, 'session', (query) => query.where('expires_at', '<=', now))

/** Links of emails that have run out. */
export const deleteExpiredTokens = (db: Knex, now: string): Promise<number> =>
  deleteSome(db, 'token', (query) => query.where('expires_at', '<=', now))

/** Links that are good for one time and were used before a moment. */
export const deleteUsedTokens = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'token', (query) => query.where({ purpose: 'confirm' }).where('used_at', '<', before))

/** Emails of before a moment that are out or came back. */
export const deleteMails = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'mail', (query) => query.where('queued_at', '<', before).whereNot('state', 'waiting'))

/** Jobs that ended before a moment. */
export const deleteJobs = (db: Knex, before: string): Promise<number> =>
  deleteSome(db, 'job', (query) => query.where('ended_at', '<', before))

/** What is stored of a shop's arrivals before an inner id. */
export const deleteFingerprints = (db: Knex, shopId: number, before: number): Promise<number> =>
  deleteSome(
    db,
    'fingerprint',
    (query) => query.where({ shop_id: shopId }).where('review_id', '<', before),
    'review_id',
  )
