import type { Knex } from 'knex'
import type { NotificationPreference } from '../../core/account/notificationPreference'
import { tables } from './schema/tables'
import { row, whereOf } from './rows'
import { pick, readAll, readOne } from './select'

export async function membersWithPreferences(
  db: Knex,
  shopId: number,
): Promise<{ id: number; name: string; email: string; preference: NotificationPreference }[]> {
  return readAll(
    db('membership')
      .join('member', 'member.id', 'membership.member_id')
      .where(whereOf(tables.membership, { shopId }))
      .orderBy('member.id'),
    { ...pick(tables.member, 'id', 'name', 'email'), preference: tables.membership.notifications },
  )
}

export async function setNotificationPreference(
  db: Knex,
  shopId: number,
  memberId: number,
  preference: NotificationPreference,
): Promise<void> {
  await db('membership')
    .where(whereOf(tables.membership, { shopId, memberId }))
    .update(row(tables.membership, { notifications: preference }))
}

export async function setDigestHour(db: Knex, shopId: number, hour: number): Promise<void> {
  await db('shop')
    .where({ id: shopId })
    .update(row(tables.shop, { digestHour: hour }))
}

/** The hour of the daily email, and the number of reviews that it will tell of. */
export async function digestOf(db: Knex, shopId: number): Promise<{ hour: number; count: number }> {
  return readOne(db('shop').where({ id: shopId }), {
    hour: tables.shop.digestHour,
    count: tables.shop.digestCount,
  })
}

export async function addToDigest(trx: Knex.Transaction, shopId: number): Promise<void> {
  await trx('shop').where({ id: shopId }).increment('digest_count', 1)
}

export async function emptyDigest(trx: Knex.Transaction, shopId: number): Promise<void> {
  await trx('shop')
    .where({ id: shopId })
    .update(row(tables.shop, { digestCount: 0 }))
}
