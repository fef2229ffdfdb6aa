import type { Knex } from 'knex'
import { z } from 'zod'
import { ownSources, type Source } from '../../core/intake/sourcePolicy'
import { tables } from './schema/tables'
import { whereOf } from './rows'
import { hasRows, readAll, value } from './select'

interface ArrivalCount {
  count: number
  /** From verified buyers. */
  verified: number
}

/** How many reviews came to the shop itself since a moment. Whole days are counted already. */
export async function arrivalsSince(
  db: Knex,
  shopId: number,
  since: string,
  sources: readonly Source[] = ownSources,
): Promise<ArrivalCount> {
  const day = since.slice(0, 10)
  const days = await readAll(
    db('arrival_count')
      .where(whereOf(tables.arrivalCount, { shopId }))
      .whereIn('source', sources)
      .where('day', '>', day)
      .groupBy('verified'),
    { verified: tables.arrivalCount.verified, count: value(z.number(), db.raw('sum(count)')) },
  )
  // "~" sorts behind all times of that day.
  const first = await readAll(
    db('review')
      .where(whereOf(tables.review, { shopId }))
      .whereRaw(`+source IN (${sources.map(() => '?').join(', ')})`, [...sources])
      .whereBetween('received_at', [since, `${day}~`])
      .whereNot('state', 'undone')
      .groupBy('verified'),
    { verified: tables.review.verified, count: value(z.number(), db.raw('count(*)')) },
  )
  const sum = (rows: { count: number }[]) => rows.reduce((total, { count }) => total + count, 0)
  const all = [...days, ...first]
  return { count: sum(all), verified: sum(all.filter(({ verified }) => verified)) }
}

/** Whether any review ever came to a shop, test reviews aside. */
export const everArrived = (db: Knex, shopId: number): Promise<boolean> =>
  hasRows(
    db('arrival_count')
      .where(whereOf(tables.arrivalCount, { shopId }))
      .whereNot({ source: 'trial' })
      .where('count', '>', 0),
  )
