import type { Knex } from 'knex'

/** Only the hash of a session's token is stored, so a leaked database opens no session. */
export async function insertSession(
  db: Knex,
  session: { tokenHash: string; memberId: number; createdAt: string; expiresAt: string },
): Promise<void> {
  await db('session').insert({
    token_hash: session.tokenHash,
    member_id: session.memberId,
    created_at: session.createdAt,
    expires_at: session.expiresAt,
  })
}

export async function deleteSession(db: Knex, tokenHash: string): Promise<void> {
  await db('session').where({ token_hash: tokenHash }).delete()
}

/** Signs a member out everywhere. */
export async function deleteSessionsOf(db: Knex, memberId: number): Promise<void> {
  await db('session').where({ member_id: memberId }).delete()
}
