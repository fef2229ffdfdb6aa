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

export async function insertMember(
  trx: Knex,
  member: Omit<Member, 'id'> & { publicId: string; passwordHash: string; now: string },
): Promise<number> {
  const [id] = await trx('member').insert({
    public_id: member.publicId,
    email: member.email,
    name: member.name,
    password_hash: member.passwordHash,
    created_at: member.now,
  })
  return id!
}

/** Whether the installation has no members yet. */
export async function isEmptyInstallation(db: Knex): Promise<boolean> {
  return (await db('member').first('id')) === undefined
}

export async function passwordHashOf(db: Knex, memberId: number): Promise<string> {
  return (await db('member').where({ id: memberId }).first<{ hash: string }>({ hash: 'password_hash' })).hash
}

export async function updatePassword(trx: Knex, memberId: number, passwordHash: string): Promise<void> {
  await trx('member').where({ id: memberId }).update({ password_hash: passwordHash })
}
