import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { row, whereOf } from './rows'
import { pick, readAll, readFirst, readOne, type Selected } from './select'

const columns = {
  ...pick(tables.job, 'id', 'shopId', 'kind', 'state', 'done', 'total', 'attempts', 'error', 'result'),
  ...pick(tables.job, 'dueAt', 'createdAt', 'endedAt'),
}
/** A job on the page of jobs. */
export type JobLine = Selected<typeof columns>

/** The jobs of a shop and of the installation, latest first, without those that wait for their first run. */
export async function jobsOfShop(db: Knex, shopId: number, limit: number): Promise<JobLine[]> {
  const some = (whose: number | null) =>
    readAll(
      db('job')
        .where(whereOf(tables.job, { shopId: whose }))
        .where(
          (shown) =>
            void shown.whereNot({ state: 'due' }).orWhere('attempts', '>', 0).orWhereNotNull('error'),
        )
        .orderBy('id', 'desc')
        .limit(limit),
      columns,
    )
  return [...(await some(shopId)), ...(await some(null))]
}

/** Why a recurring job failed the last time; null if it did not. */
export async function jobError(db: Knex, kind: string): Promise<string | null> {
  const found = await readFirst(db('job').where({ unique_key: kind }), pick(tables.job, 'error'))
  return found?.error ?? null
}

/** Cancels a waiting job, or asks a running one to stop. Returns which. */
export async function askToCancel(
  db: Knex,
  { shopId, id, kinds }: { shopId: number; id: number; kinds: string[] },
  now: string,
): Promise<'cancelled' | 'asked' | null> {
  const job = () => db('job').where({ id, shop_id: shopId }).whereIn('kind', kinds)
  if (
    (await job()
      .where({ state: 'due' })
      .update(row(tables.job, { state: 'cancelled', endedAt: now }))) > 0
  )
    return 'cancelled'
  return (await job()
    .where({ state: 'running' })
    .update(row(tables.job, { cancelAsked: true }))) > 0
    ? 'asked'
    : null
}

/** Queues a failed or cancelled job again; it continues where it stopped. */
export async function listAgain(db: Knex, shopId: number, id: number, now: string): Promise<boolean> {
  const listed = await db('job')
    .where({ id, shop_id: shopId })
    .whereIn('state', ['failed', 'cancelled'])
    .update(
      row(tables.job, {
        state: 'due',
        dueAt: now,
        attempts: 0,
        error: null,
        endedAt: null,
        cancelAsked: false,
      }),
    )
  return listed > 0
}

/** What a job stores about itself. */
export async function readPayload(db: Knex, id: number): Promise<unknown> {
  const { payload } = await readOne(db('job').where({ id }), pick(tables.job, 'payload'))
  return payload
}

/** Stores the progress, in the transaction of the work. */
export async function savePayload(trx: Knex, id: number, payload: Record<string, unknown>): Promise<void> {
  await trx('job').where({ id }).update(row(tables.job, { payload }))
}

/** Jobs by their unique keys. */
export async function jobsWithKeys(
  db: Knex,
  shopId: number,
  uniqueKeys: string[],
): Promise<Map<string, Pick<JobLine, 'state' | 'dueAt' | 'done' | 'total'>>> {
  const rows = await readAll(
    db('job').whereIn('unique_key', uniqueKeys).whereRaw('+shop_id = ?', shopId),
    pick(tables.job, 'uniqueKey', 'state', 'dueAt', 'done', 'total'),
  )
  return new Map(rows.map(({ uniqueKey, ...job }) => [uniqueKey, job]))
}

/** The latest job of a kind of a shop. */
export async function latestJob(
  db: Knex,
  shopId: number,
  kind: string,
): Promise<(JobLine & { payload: unknown }) | null> {
  const latest = await readFirst(db('job').where({ shop_id: shopId, kind }).orderBy('id', 'desc'), {
    ...columns,
    payload: tables.job.payload,
  })
  return latest ?? null
}
