import type { Knex } from 'knex'

export interface Member {
  id: number
  name: string
  email: string
}

export async function findMemberByEmail(
  db: Knex,
  email: string,
): Promise<(Member & { passwordHash: string }) | undefined> {
  return db('member')
    .where({ email: email.trim().toLowerCase() })
    .first('id', 'name', 'email', { passwordHash: 'password_hash' })
}

export async function findMemberBySession(
  db: Knex,
  tokenHash: string,
  now: string,
): Promise<Member | undefined> {
  return db('session')
    .join('member', 'member.id', 'session.member_id')
    .where('session.token_hash', tokenHash)
    .where('session.expires_at', '>', now)
    .first('member.id', 'member.name', 'member.email')
}
