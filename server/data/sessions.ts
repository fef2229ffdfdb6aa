import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert } from './rows'
import type { NewRow } from './table'

/** Only the hash of a session's token is stored, so a leaked database opens no session. */
export async function insertSession(db: Knex, session: NewRow<typeof tables.session>): Promise<void> {
  await insert(db, tables.session, session)
}

export async function deleteSession(db: Knex, tokenHash: string): Promise<void> {
  await db('session').where({ token_hash: tokenHash }).delete()
}

/** Signs a member out everywhere. */
export async function deleteSessionsOf(db: Knex, memberId: number): Promise<void> {
  await db('session').where({ member_id: memberId }).delete()
}
