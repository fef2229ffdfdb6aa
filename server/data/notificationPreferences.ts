import type { Knex } from 'knex'
import type { NotificationPreference } from '../../core/account/notificationPreference'

export async function membersWithPreferences(
  db: Knex,
  shopId: number,
): Promise<{ id: number; name: string; email: string; preference: NotificationPreference }[]> {
  return db('membership')
    .join('member', 'member.id', 'membership.member_id')
    .where({ 'membership.shop_id': shopId })
    .orderBy('member.id')
    .select({
      id: 'member.id',
      name: 'member.name',
      email: 'member.email',
      preference: 'membership.notifications',
    })
}

export async function setNotificationPreference(
  db: Knex,
  shopId: number,
  memberId: number,
  preference: NotificationPreference,
): Promise<void> {
  await db('membership').where({ shop_id: shopId, member_id: memberId }).update({ notifications: preference })
}

export async function setDigestHour(db: Knex, shopId: number, hour: number): Promise<void> {
  await db('shop').where({ id: shopId }).update({ digest_hour: hour })
}

/** The hour of the daily email, and the number of reviews that it will tell of. */
export async function digestOf(db: Knex, shopId: number): Promise<{ hour: number; count: number }> {
  return db('shop').where({ id: shopId }).first({ hour: 'digest_hour', count: 'digest_count' })
}

export async function addToDigest(trx: Knex.Transaction, shopId: number): Promise<void> {
  await trx('shop').where({ id: shopId }).increment('digest_count', 1)
}

export async function emptyDigest(trx: Knex.Transaction, shopId: number): Promise<void> {
  await trx('shop').where({ id: shopId }).update({ digest_count: 0 })
}
