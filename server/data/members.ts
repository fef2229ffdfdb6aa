import type { Knex } from 'knex'
import { tables } from './schema/tables'
import { insert, row } from './rows'
import { hasRows, pick, readFirst, readOne, type Selected } from './select'
import type { NewRow } from './table'

const columns = pick(tables.member, 'id', 'name', 'email')
export type Member = Selected<typeof columns>

export async function findMemberByEmail(
  db: Knex,
  email: string,
): Promise<(Member & { passwordHash: string }) | undefined> {
  return readFirst(db('member').where({ email: email.trim().toLowerCase() }), {
    ...columns,
    passwordHash: tables.member.passwordHash,
  })
}

export async function findMemberBySession(
  db: Knex,
  tokenHash: string,
  now: string,
): Promise<Member | undefined> {
  return readFirst(
    db('session')
      .join('member', 'member.id', 'session.member_id')
      .where('session.token_hash', tokenHash)
      .where('session.expires_at', '>', now),
    columns,
  )
}

export async function insertMember(trx: Knex, member: NewRow<typeof tables.member>): Promise<number> {
  return insert(trx, tables.member, member)
}

/** Whether the installation has no members yet. */
export async function isEmptyInstallation(db: Knex): Promise<boolean> {
  return !(await hasRows(db('member')))
}

export async function passwordHashOf(db: Knex, memberId: number): Promise<string> {
  const { passwordHash } = await readOne(
    db('member').where({ id: memberId }),
    pick(tables.member, 'passwordHash'),
  )
  return passwordHash
}

export async function updatePassword(trx: Knex, memberId: number, passwordHash: string): Promise<void> {
  await trx('member').where({ id: memberId }).update(row(tables.member, { passwordHash }))
}
