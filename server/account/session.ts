import type { Hearing } from '../changes'
import { createHash } from 'node:crypto'
import { findMemberByEmail, findMemberBySession, type Member } from '../data/members'
import { deleteSession, insertSession } from '../data/sessions'
import { shopsOfMember, type MemberShop, type Shop } from '../data/shops'
import type { Services } from '../services'
import { checkPassword, hashPassword } from './password'

const SESSION_DAYS = 30

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')

let decoyHash: Promise<string> | undefined

/** Returns the token of a new session; null if email and password don't match. */
export async function signIn(services: Services, email: string, password: string): Promise<string | null> {
  const { db, newSecret } = services
  const member = await findMemberByEmail(db, email)
  // An unknown address takes as long, so that the time doesn't reveal who is a member.
  const expected = member?.passwordHash ?? (await (decoyHash ??= hashPassword(services, newSecret())))
  const right = await checkPassword(expected, password)
  return member && right ? openSession(services, member.id) : null
}

/** Returns the token. */
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
 * Notifies an open tab of changes to a shop until its session ends.
 * @returns a function that stops it
 */
export function listenToChanges(
  { changes, streams }: Services,
  { shop, member, token }: { shop: Shop; member: Member; token: string },
  { heard, end, ...hearing }: { heard: () => void; end: () => void } & Hearing,
): () => void {
  const stopListening = changes.listen(shop.id, heard, hearing)
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

/** Null if the session has expired or was ended. */
export async function findSession(
  { db, now }: Services,
  token: string,
): Promise<{ member: Member; shops: MemberShop[] } | null> {
  const member = await findMemberBySession(db, hashOf(token), now().toISOString())
  return member ? { member, shops: await shopsOfMember(db, member.id) } : null
}
