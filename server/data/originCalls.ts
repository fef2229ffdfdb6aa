import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { newRow } from './rows'
import { pick, readFirst } from './select'

/** The latest calls to a site and until when it wants none, both as epoch milliseconds. */
interface OriginCalls {
  calledAt: number[]
  blockedUntil: number
}

export async function originCalls(db: Knex, origin: string): Promise<OriginCalls> {
  const found = await readFirst(
    db('origin_call').where({ origin }),
    pick(tables.originCall, 'calledAt', 'blockedUntil'),
  )
  return {
    calledAt: found?.calledAt ?? [],
    blockedUntil: found?.blockedUntil ? Date.parse(found.blockedUntil) : 0,
  }
}

export async function storeOriginCalls(
  db: Knex,
  origin: string,
  { calledAt, blockedUntil }: OriginCalls,
): Promise<void> {
  await db('origin_call')
    .insert(
      newRow(tables.originCall, {
        origin,
        calledAt,
        blockedUntil: blockedUntil > 0 ? new Date(blockedUntil).toISOString() : null,
      }),
    )
    .onConflict('origin')
    .merge()
}
