import type { Knex } from 'knex'

export interface Job {
  id: number
  shopId: number
  kind: string
  payload: string
  generation: number
  attempts: number
}

/**
 * Puts work on the list inside the transaction that makes it necessary. Work under the same key is done once; asked
 * for again while it is being done, it is done once more.
 */
export async function enqueue(
  trx: Knex.Transaction,
  job: { shopId: number; kind: string; uniqueKey: string; payload: Record<string, unknown>; dueAt: string },
): Promise<void> {
  await trx('job')
    .insert({
      shop_id: job.shopId,
      kind: job.kind,
      unique_key: job.uniqueKey,
      payload: JSON.stringify(job.payload),
      due_at: job.dueAt,
    })
    .onConflict('unique_key')
    .merge({ due_at: job.dueAt, generation: trx.raw('job.generation + 1'), attempts: 0 })
}

/** Leases the next due job of some kinds, or answers undefined when nothing is due. */
export async function leaseNext(
  db: Knex,
  kinds: string[],
  now: string,
  leasedUntil: string,
): Promise<Job | undefined> {
  const rows: {
    id: number
    shop_id: number
    kind: string
    payload: string
    generation: number
    attempts: number
  }[] = await db.raw(
    `UPDATE job SET leased_until = ?, attempts = attempts + 1 WHERE id = (
         SELECT id FROM job WHERE due_at <= ? AND kind IN (${kinds.map(() => '?').join(', ')}) AND (leased_until IS NULL OR leased_until <= ?) ORDER BY due_at LIMIT 1
       ) RETURNING id, shop_id, kind, payload, generation, attempts`,
    [leasedUntil, now, ...kinds, now],
  )
  const row = rows[0]
  return row && { ...row, shopId: row.shop_id }
}

/** Takes a finished job off the list, unless it was asked for again meanwhile. */
export async function finish(db: Knex, job: Job): Promise<void> {
  const removed = await db('job').where({ id: job.id, generation: job.generation }).delete()
  if (removed === 0) await db('job').where({ id: job.id }).update({ leased_until: null, error: null })
}

/** Puts a failed job back, to be tried again later. */
export async function postpone(db: Knex, job: Job, dueAt: string, error: string): Promise<void> {
  await db('job').where({ id: job.id }).update({ leased_until: null, due_at: dueAt, error })
}

/** Gives back what a process that is gone had leased: one process works on a database, so at its start all is stale. */
export async function releaseAll(db: Knex): Promise<void> {
  await db('job').whereNotNull('leased_until').update({ leased_until: null })
}
