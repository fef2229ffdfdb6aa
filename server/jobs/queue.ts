import type { Knex } from 'knex'
import { tables } from '../data/schema/tables'
import { newRow, row, whereOf } from '../data/rows'
import { pick, readOne } from '../data/select'
import type { Job, NewJob, Outcome } from './job'

/**
 * Adds a job. A job with the same key runs once, with the latest payload; if it is already running, it runs once
 * more.
 */
export async function enqueue(trx: Knex.Transaction, job: NewJob): Promise<void> {
  await trx('job')
    .insert(newRow(tables.job, { ...job, createdAt: job.dueAt }))
    .onConflict('unique_key')
    .merge(
      row(tables.job, {
        payload: job.payload,
        dueAt: job.dueAt,
        generation: trx.raw('job.generation + 1'),
        attempts: 0,
        error: null,
        endedAt: null,
        cancelAsked: false,
        state: trx.raw("CASE job.state WHEN 'running' THEN 'running' ELSE 'due' END"),
      }),
    )
}

/** Adds a recurring job. If it exists, it is due after its interval at the latest, also after the clock was set back. */
export async function enqueueRecurring(
  db: Knex,
  { kind, everyMs, now }: { kind: string; everyMs: number; now: Date },
): Promise<void> {
  const at = now.toISOString()
  const latest = new Date(now.getTime() + everyMs).toISOString()
  await db('job')
    .insert(newRow(tables.job, { kind, uniqueKey: kind, payload: {}, dueAt: at, createdAt: at, everyMs }))
    .onConflict('unique_key')
    .merge(row(tables.job, { everyMs, dueAt: db.raw('min(job.due_at, ?)', [latest]) }))
}

const leasedJob = pick(tables.job, 'id', 'shopId', 'kind', 'payload', 'generation', 'attempts')

export async function leaseNext(
  db: Knex,
  kinds: string[],
  now: string,
  leasedUntil: string,
): Promise<Job | undefined> {
  const due = `SELECT id FROM job WHERE state = 'due' AND due_at <= ? AND kind IN (${kinds.map(() => '?').join(', ')}) ORDER BY due_at LIMIT 1`
  const leased: { id: number }[] = await db.raw(
    `UPDATE job SET state = 'running', leased_until = ?, attempts = attempts + 1 WHERE id = (${due}) RETURNING id`,
    [leasedUntil, now, ...kinds],
  )
  const [job] = leased
  return job && readOne(db('job').where(job), leasedJob)
}

/** Returns the ids of jobs that should be cancelled. */
export async function renewLeases(db: Knex, ids: number[], leasedUntil: string): Promise<number[]> {
  await db('job').whereIn('id', ids).update(row(tables.job, { leasedUntil }))
  return db('job')
    .whereIn('id', ids)
    .where(whereOf(tables.job, { cancelAsked: true }))
    .pluck('id')
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
    ? await sameAsBegun().update(
        row(tables.job, {
          state: 'done',
          result: outcome ?? {},
          error: null,
          endedAt: now,
          leasedUntil: null,
        }),
      )
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
    .update(row(tables.job, { ...more, state: 'due', leasedUntil: null, error: more.error ?? null }))
}

export async function endUndone(
  db: Knex,
  id: number,
  state: 'failed' | 'cancelled',
  { error, now }: { error: string | null; now: string },
): Promise<void> {
  await db('job')
    .where({ id })
    .update(row(tables.job, { state, error, endedAt: now, leasedUntil: null }))
}

export async function releaseExpired(db: Knex, now: string): Promise<void> {
  await db('job')
    .where({ state: 'running' })
    .where('leased_until', '<=', now)
    .update(row(tables.job, { state: 'due', leasedUntil: null }))
}

// Only one process uses a database, so at its start every lease is stale.
export async function releaseAll(db: Knex): Promise<void> {
  await db('job')
    .where({ state: 'running' })
    .whereNotNull('leased_until')
    .update(row(tables.job, { state: 'due', leasedUntil: null }))
}
