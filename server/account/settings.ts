import type { ShopProfile } from '../../core/account/shopProfile'
import { findMemberByEmail, passwordHashOf, updatePassword, type Member } from '../data/members'
import { deleteSessionsOf } from '../data/sessions'
import { updateShop, type Shop } from '../data/shops'
import { writing } from '../data/writing'
import { cleanPicture } from '../media/picture'
import { markAllStale } from '../publishing/staleDisplays'
import type { Services } from '../services'
import { checkPassword, hashPassword } from './password'
import { openSession } from './session'
import { shopFields } from './setUp'

/** Saves the profile of a shop and marks its displays for rendering. */
export async function saveSettings(services: Services, shop: Shop, profile: ShopProfile): Promise<void> {
  const picture = profile.picture === shop.logo ? shop.logo : await cleanPicture(profile.picture)
  await writing(services.db, async (trx) => {
    await updateShop(trx, { ...shop, ...shopFields(profile, picture) })
    await markAllStale(trx, shop.id, services.now().toISOString())
  })
  services.changes.announce(shop.id)
  services.wakeJobs()
}

/**
 * Changes a password and ends all other sessions. Returns a new session; null if the current password is
 * wrong.
 */
export async function changePassword(
  services: Services,
  member: Member,
  present: string,
  next: string,
): Promise<string | null> {
  if (!(await checkPassword(await passwordHashOf(services.db, member.id), present))) return null
  await putPassword(services, member.id, next)
  return openSession(services, member.id)
}

/** Returns a new random password; null if there is no such member. */
export async function resetPassword(services: Services, email: string): Promise<string | null> {
  const member = await findMemberByEmail(services.db, email)
  if (!member) return null
  const password = services.newSecret().slice(0, 20)
  await putPassword(services, member.id, password)
  return password
}

async function putPassword(services: Services, memberId: number, password: string): Promise<void> {
  const hash = await hashPassword(services, password)
  await writing(services.db, async (trx) => {
    await updatePassword(trx, memberId, hash)
    await deleteSessionsOf(trx, memberId)
  })
  services.streams.endMember(memberId)
}
