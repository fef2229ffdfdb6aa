import { z } from 'zod'
import type { Knex } from 'knex'

type JobState = 'due' | 'running' | 'done' | 'failed' | 'cancelled'

/** A job on the page of jobs. */
export interface JobLine {
  id: number
  /** Null for jobs of the installation. */
  shopId: number | null
  kind: string
  state: JobState
  done: number
  total: number | null
  attempts: number
  error: string | null
  result: Record<string, unknown> | null
  dueAt: string
  createdAt: string
  endedAt: string | null
}

const columns = {
  id: 'id',
  shopId: 'shop_id',
  kind: 'kind',
  state: 'state',
  done: 'done',
  total: 'total',
  attempts: 'attempts',
  error: 'error',
  result: 'result',
  dueAt: 'due_at',
  createdAt: 'created_at',
  endedAt: 'ended_at',
}

type Row = Omit<JobLine, 'result'> & { result: string | null }
const read = (row: Row): JobLine => ({
  ...row,
  result: row.result === null ? null : z.record(z.string(), z.unknown()).parse(JSON.parse(row.result)),
})

/** The jobs of a shop and of the installation, latest first, without those that wait for their first run. */
export async function jobsOfShop(db: Knex, shopId: number, limit: number): Promise<JobLine[]> {
  const some = (whose: number | null) =>
    db('job')
      .where({ shop_id: whose })
      .where(
        (shown) => void shown.whereNot({ state: 'due' }).orWhere('attempts', '>', 0).orWhereNotNull('error'),
      )
      .orderBy('id', 'desc')
      .limit(limit)
      .select<Row[]>(columns)
  return [...(await some(shopId)), ...(await some(null))].map(read)
}

/** Why a recurring job failed the last time; null if it did not. */
export async function jobError(db: Knex, kind: string): Promise<string | null> {
  const row = await db('job').where({ unique_key: kind }).first<{ error: string | null } | undefined>('error')
  return row?.error ?? null
}

/** Cancels a waiting job, or asks a running one to stop. Returns which. */
export async function askToCancel(
  db: Knex,
  { shopId, id, kinds }: { shopId: number; id: number; kinds: string[] },
  now: string,
): Promise<'cancelled' | 'asked' | null> {
  const job = () => db('job').where({ id, shop_id: shopId }).whereIn('kind', kinds)
  if ((await job().where({ state: 'due' }).update({ state: 'cancelled', ended_at: now })) > 0)
    return 'cancelled'
  return (await job().where({ state: 'running' }).update({ cancel_asked: 1 })) > 0 ? 'asked' : null
}

/** Queues a failed or cancelled job again; it continues where it stopped. */
export async function listAgain(db: Knex, shopId: number, id: number, now: string): Promise<boolean> {
  const listed = await db('job')
    .where({ id, shop_id: shopId })
    .whereIn('state', ['failed', 'cancelled'])
    .update({ state: 'due', due_at: now, attempts: 0, error: null, ended_at: null, cancel_asked: 0 })
  return listed > 0
}

/** What a job stores about itself. */
export async function readPayload(db: Knex, id: number): Promise<unknown> {
  const { payload } = await db('job').where({ id }).first<{ payload: string }>('payload')
  return JSON.parse(payload)
}

/** Stores the progress, in the transaction of the work. */
export async function savePayload(trx: Knex, id: number, payload: Record<string, unknown>): Promise<void> {
  await trx('job')
    .where({ id })
    .update({ payload: JSON.stringify(payload) })
}

/** Jobs by their unique keys. */
export async function jobsWithKeys(
  db: Knex,
  shopId: number,
  uniqueKeys: string[],
): Promise<Map<string, Pick<JobLine, 'state' | 'dueAt' | 'done' | 'total'>>> {
  const rows: (Pick<JobLine, 'state' | 'dueAt' | 'done' | 'total'> & { uniqueKey: string })[] = await db(
    'job',
  )
    .whereIn('unique_key', uniqueKeys)
    .whereRaw('+shop_id = ?', shopId)
    .select({ uniqueKey: 'unique_key', state: 'state', dueAt: 'due_at', done: 'done', total: 'total' })
  return new Map(rows.map(({ uniqueKey, ...job }) => [uniqueKey, job]))
}

/** The latest job of a kind of a shop. */
export async function latestJob(
  db: Knex,
  shopId: number,
  kind: string,
): Promise<(JobLine & { payload: string }) | null> {
  const row = await db('job')
    .where({ shop_id: shopId, kind })
    .orderBy('id', 'desc')
    .first<(Row & { payload: string }) | undefined>({ ...columns, payload: 'payload' })
  return row ? { ...read(row), payload: row.payload } : null
}
