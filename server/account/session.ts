import { createHash } from 'node:crypto'
import { findMemberByEmail, findMemberBySession, type Member } from '../data/members'
import { deleteSession, insertSession } from '../data/sessions'
import { shopsOfMember, type Shop } from '../data/shops'
import type { Services } from '../services'
import { checkPassword, hashPassword } from './password'

const SESSION_DAYS = 30

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

let decoyHash: Promise<string> | undefined

/** Signs a member in with a new session; answers its token, or null when address and password do not go together. */
export async function signIn(services: Services, email: string, password: string): Promise<string | null> {
  const { db, newSecret } = services
  const member = await findMemberByEmail(db, email)
  // As much work for an unknown address, so that the time taken tells nobody who is a member.
  const expected = member?.passwordHash ?? (await (decoyHash ??= hashPassword(services, newSecret())))
  const right = await checkPassword(expected, password)
  return member && right ? openSession(services, member.id) : null
}

/** Opens a session for a member; answers its token. */
export async function openSession({ db, now, newSecret }: Services, memberId: number): Promise<string> {
  const token = newSecret()
  await insertSession(db, {
    tokenHash: hashOf(token),
    memberId,
    createdAt: now().toISOString(),
    expiresAt: new Date(now().getTime() + SESSION_DAYS * 86_400_000).toISOString(),
  })
  return token
}

export async function signOut({ db, streams }: Services, token: string): Promise<void> {
  await deleteSession(db, hashOf(token))
  streams.endSession(hashOf(token))
}

/**
 * Tells an open tab whenever something of a shop has changed, until its session ends.
 * @returns how to stop
 */
export function listenToChanges(
  { changes, streams }: Services,
  { shop, member, token }: { shop: Shop; member: Member; token: string },
  { heard, end }: { heard: () => void; end: () => void },
): () => void {
  const stopListening = changes.listen(shop.id, heard)
  const stop = () => {
    stopListening()
    closed()
  }
  const closed = streams.open({ hash: hashOf(token), memberId: member.id }, () => {
    stopListening()
    end()
  })
  return stop
}

/** The member a session belongs to and the shops open to her, or null when there is no such session any more. */
export async function findSession(
  { db, now }: Services,
  token: string,
): Promise<{ member: Member; shops: Shop[] } | null> {
  const member = await findMemberBySession(db, hashOf(token), now().toISOString())
  return member ? { member, shops: await shopsOfMember(db, member.id) } : null
}
