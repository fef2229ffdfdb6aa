import type { Knex } from 'knex'
import type { Job, NewJob, Outcome } from './job'

/**
 * Adds a job. A job with the same key runs once, with the latest payload; if it is already running, it runs once
 * more.
 */
export async function enqueue(trx: Knex.Transaction, job: NewJob): Promise<void> {
  await trx('job')
    .insert({
      shop_id: job.shopId,
      kind: job.kind,
      unique_key: job.uniqueKey,
      payload: JSON.stringify(job.payload),
      due_at: job.dueAt,
      created_at: job.dueAt,
    })
    .onConflict('unique_key')
    .merge({
      payload: JSON.stringify(job.payload),
      due_at: job.dueAt,
      generation: trx.raw('job.generation + 1'),
      attempts: 0,
      error: null,
      ended_at: null,
      cancel_asked: 0,
      state: trx.raw("CASE job.state WHEN 'running' THEN 'running' ELSE 'due' END"),
    })
}

/** Adds a recurring job. If it exists, it is due after its interval at the latest, also after the clock was set back. */
export async function enqueueRecurring(
  db: Knex,
  { kind, everyMs, now }: { kind: string; everyMs: number; now: Date },
): Promise<void> {
  const at = now.toISOString()
  const latest = new Date(now.getTime() + everyMs).toISOString()
  await db('job')
    .insert({ kind, unique_key: kind, payload: '{}', due_at: at, created_at: at, every_ms: everyMs })
    .onConflict('unique_key')
    .merge({ every_ms: everyMs, due_at: db.raw('min(job.due_at, ?)', [latest]) })
}

export async function leaseNext(
  db: Knex,
  kinds: string[],
  now: string,
  leasedUntil: string,
): Promise<Job | undefined> {
  const due = `SELECT id FROM job WHERE state = 'due' AND due_at <= ? AND kind IN (${kinds.map(() => '?').join(', ')}) ORDER BY due_at LIMIT 1`
  const rows: (Omit<Job, 'shopId'> & { shop_id: number | null })[] = await db.raw(
    `UPDATE job SET state = 'running', leased_until = ?, attempts = attempts + 1 WHERE id = (${due})
     RETURNING id, shop_id, kind, payload, generation, attempts`,
    [leasedUntil, now, ...kinds],
  )
  const row = rows[0]
  if (!row) return undefined
  const { shop_id: shopId, ...job } = row
  return { ...job, shopId }
}

/** Returns the ids of jobs that should be cancelled. */
export async function renewLeases(db: Knex, ids: number[], leasedUntil: string): Promise<number[]> {
  await db('job').whereIn('id', ids).update({ leased_until: leasedUntil })
  return db('job').whereIn('id', ids).where({ cancel_asked: 1 }).pluck('id')
}

export async function noteProgress(db: Knex, id: number, done: number, total: number | null): Promise<void> {
  await db('job').where({ id }).update({ done, total })
}

/** Deletes a finished job or stores its outcome. A job that was added again in the meantime stays. */
export async function finish(
  db: Knex,
  job: Job,
  { kept, outcome, now }: { kept: boolean; outcome: Outcome; now: string },
): Promise<void> {
  const sameAsBegun = () => db('job').where({ id: job.id, generation: job.generation })
  const ended = kept
    ? await sameAsBegun().update({
        state: 'done',
        result: JSON.stringify(outcome ?? {}),
        error: null,
        ended_at: now,
        leased_until: null,
      })
    : await sameAsBegun().delete()
  if (ended === 0) await rescheduleJob(db, job.id, {})
}

export async function rescheduleJob(
  db: Knex,
  id: number,
  more: { dueAt?: string; error?: string | null; attempts?: number },
): Promise<void> {
  await db('job')
    .where({ id })
    .update({
      state: 'due',
      leased_until: null,
      error: more.error ?? null,
      ...(more.dueAt !== undefined && { due_at: more.dueAt }),
      ...(more.attempts !== undefined && { attempts: more.attempts }),
    })
}

export async function endUndone(
  db: Knex,
  id: number,
  state: 'failed' | 'cancelled',
  { error, now }: { error: string | null; now: string },
): Promise<void> {
  await db('job').where({ id }).update({ state, error, ended_at: now, leased_until: null })
}

export async function releaseExpired(db: Knex, now: string): Promise<void> {
  await db('job')
    .where({ state: 'running' })
    .where('leased_until', '<=', now)
    .update({ state: 'due', leased_until: null })
}

// Only one process uses a database, so at its start every lease is stale.
export async function releaseAll(db: Knex): Promise<void> {
  await db('job')
    .where({ state: 'running' })
    .whereNotNull('leased_until')
    .update({ state: 'due', leased_until: null })
}
