import type { Knex } from 'knex'

/** Sessions are kept under the hash of their token, so that what is stored opens nothing. */
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

/** Closes every session of a member: whoever is signed in as her anywhere is not any more. */
export async function deleteSessionsOf(db: Knex, memberId: number): Promise<void> {
  await db('session').where({ member_id: memberId }).delete()
}
