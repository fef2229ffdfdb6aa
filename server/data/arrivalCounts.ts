import type { Knex } from 'knex'
import { ownSources, type Source } from '../../core/intake/sourcePolicy'

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
  const days: { verified: 0 | 1; count: number }[] = await db('arrival_count')
    .where({ shop_id: shopId })
    .whereIn('source', sources)
    .where('day', '>', day)
    .groupBy('verified')
    .select('verified')
    .sum({ count: 'count' })
  // "~" sorts behind all times of that day.
  const first: { verified: 0 | 1; count: number }[] = await db('review')
    .where({ shop_id: shopId })
    .whereRaw(`+source IN (${sources.map(() => '?').join(', ')})`, [...sources])
    .whereBetween('received_at', [since, `${day}~`])
    .whereNot('state', 'undone')
    .groupBy('verified')
    .select('verified')
    .count({ count: '*' })
  const sum = (rows: { count: number }[]) => rows.reduce((total, { count }) => total + count, 0)
  const all = [...days, ...first]
  return { count: sum(all), verified: sum(all.filter(({ verified }) => verified === 1)) }
}
