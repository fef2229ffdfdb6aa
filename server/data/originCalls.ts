import { z } from 'zod'
import type { Knex } from 'knex'

/** The latest calls to a site and until when it wants none, both as epoch milliseconds. */
interface OriginCalls {
  calledAt: number[]
  blockedUntil: number
}

export async function originCalls(db: Knex, origin: string): Promise<OriginCalls> {
  const row = await db('origin_call')
    .where({ origin })
    .first<{ called_at: string; blocked_until: string | null } | undefined>('called_at', 'blocked_until')
  return {
    calledAt: row ? z.array(z.number()).parse(JSON.parse(row.called_at)) : [],
    blockedUntil: row?.blocked_until ? Date.parse(row.blocked_until) : 0,
  }
}

export async function storeOriginCalls(
  db: Knex,
  origin: string,
  { calledAt, blockedUntil }: OriginCalls,
): Promise<void> {
  const row = {
    called_at: JSON.stringify(calledAt),
    blocked_until: blockedUntil > 0 ? new Date(blockedUntil).toISOString() : null,
  }
  await db('origin_call')
    .insert({ origin, ...row })
    .onConflict('origin')
    .merge(row)
}
